import { defaultJob } from '@north-pane/core/document';
import { expect } from 'chai';
import {
  choose,
  documentNow,
  field,
  leaveStation,
  openStation,
  pageText,
  press,
  region,
  rest,
  screen,
  shopOf,
  textIn,
  type,
  undo,
} from '../../shell/station.fixture';
import { useJob } from '../../state/job';

const options = (label: string) =>
  [...(field(label, region('Saw')) as HTMLSelectElement).options].map(({ text }) => text);
/** The fields of one label in the section of saws, in the order of what is cut. */
const inSaws = (label: string): HTMLInputElement[] =>
  [...region('Saw').querySelectorAll('label')]
    .filter((one) => textIn(one).trim() === label)
    .map((one) => document.getElementById(one.htmlFor) as HTMLInputElement);

describe('web: Cut, saws', () => {
  after(leaveStation);

  it('saw plastic pipe like boards until it is said otherwise, and then each by its own', async () => {
    await openStation('cut', defaultJob('roof-tube'));
    expect(options('Plastic pipe cut with')).include.members(['hacksaw', 'hand saw']);
    expect(options('Plastic pipe cut with')).not.include('tube cutter');
    const before = documentNow().shop.kerfs.timber;
    expect(documentNow().shop.kerfs).not.property('plastic');
    await choose('Plastic pipe cut with', 'hacksaw', region('Saw'));
    expect(documentNow().shop.kerfs).include({ plastic: 0.001, timber: before });
    await undo();
    expect(documentNow().shop.kerfs).not.property('plastic');
  });
  it('part copper with a wheel: no plastic pipe stands among what a harp is cut of', async () => {
    await openStation('cut');
    expect(options('Tube cut with')).include('tube cutter');
    expect(() => field('Plastic pipe cut with', region('Saw'))).throw(/no field/);
  });
  it('take a width that was measured, and call it so', async () => {
    const user = await openStation('cut');
    const [tube] = inSaws('takes');
    await type(user, tube as HTMLInputElement, '1.2');
    expect(documentNow().shop.kerfs.tube).closeTo(0.0012, 1e-12);
    expect(options('Tube cut with')).include('as measured');
    expect((field('Tube cut with', region('Saw')) as HTMLSelectElement).value).equal('own');
  });
  it('square ends where that is typed, and keep offcuts from a length on', async () => {
    const user = await openStation('cut');
    const [, boards] = inSaws('off each end');
    await type(user, boards as HTMLInputElement, '12 mm');
    expect(documentNow().shop.trims).deep.equal({ timber: 0.012 });
    await type(user, boards as HTMLInputElement, '30 cm');
    expect(textIn(region('Saw'))).include('Trim of boards is 0');
    expect(documentNow().shop.trims).deep.equal({ timber: 0.012 });
    await type(user, field('Smallest offcut worth keeping', region('Saw')), '0.45 m');
    expect(documentNow().shop.keep).closeTo(0.45, 1e-12);
  });
});

describe('web: Cut, the shed', () => {
  after(leaveStation);
  const shed = () => region('In your shed');

  it('asks how wide a sheet is before it is put on the shelf', async () => {
    const user = await openStation('cut');
    const sheets = field('Put on the shelf', shed()) as HTMLSelectElement;
    const ply = [...sheets.options].find(({ text }) => /plywood/.test(text));
    if (!ply) throw new Error('no plywood is cut');
    await choose('Put on the shelf', ply.value, shed());
    await type(user, field('length', shed()), '1.2 m');
    expect(textIn(screen.getByRole('alert'))).equal('How wide is it? Type the width first.');
    expect(documentNow().shop.onHand).deep.equal({});
    await type(user, field('width', shed()), '60 cm');
    await type(user, field('length', shed()), '1.2 m');
    const [put] = Object.values(documentNow().shop.onHand);
    expect(put).include({ item: ply.value, width: 0.6, height: 1.2, count: 1 });
  });
  it('counts again what lies there, and refuses what is no count', async () => {
    const user = await openStation('cut');
    await type(user, field('length', shed()), '4 m');
    const count = () => field(/^How many of/, shed());
    await type(user, count(), '3');
    expect(Object.values(documentNow().shop.onHand).map((one) => one.count)).deep.equal([3]);
    await type(user, count(), 'some');
    expect(textIn(screen.getByRole('alert'))).include('A number is missing here.');
    expect(Object.values(documentNow().shop.onHand).map((one) => one.count)).deep.equal([3]);
  });
  it('writes into its ledger what went out when a bar is locked as cut', async () => {
    const user = await openStation('cut');
    await type(user, field('length', shed()), '4 m');
    await press(user, /^Lock as cut: .*bar 1/);
    expect(shopOf().ledger.length).above(0);
    expect(textIn(shed())).match(/\d{4}-\d{2}-\d{2}: /);
    expect(pageText()).include('In your shed');
  });
  it('says of a bar that was locked on two screens that it counts once, and counts two where there were two', async () => {
    const user = await openStation('cut');
    await press(user, /^Lock as cut: .*bar 1/);
    const [own] = useJob.getState().sync?.log ?? [];
    if (own?.kind !== 'bar-cut') throw new Error('no bar was cut');
    const cuts = shopOf().cuts.length;
    const made = { ...shopOf().made };
    useJob.getState().give({ kind: 'record', events: [{ ...own, id: 'theirs', device: 'tablet' }] });
    await rest();
    expect([shopOf().cuts.length, shopOf().made]).deep.equal([cuts, made]);
    expect(textIn(shed())).include('was noted as the same cut on two screens');
    await press(user, 'There were two');
    expect(shopOf().cuts.length).equal(cuts + 1);
    expect(textIn(shed())).not.include('was noted as the same cut on two screens');
  });
});
