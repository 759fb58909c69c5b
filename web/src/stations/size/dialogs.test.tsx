import { defaultJob } from '@north-pane/core/document';
import { expect } from 'chai';
import {
  button,
  choose,
  dimensionField,
  documentNow,
  field,
  leaveStation,
  openStation,
  pageText,
  panelNow,
  press,
  radio,
  region,
  rest,
  screen,
  soon,
  textIn,
  type,
  type User,
  undo,
  unfold,
} from '../../shell/station.fixture';
import { useJob } from '../../state/job';

const dialog = () => screen.getByRole('dialog');
const open = (family = 'harp') => openStation('size', defaultJob(family), { shallow: true });

/** Takes a dimension in hand and types it. */
const sets = async (user: User, id: string, label: string, typed: string) =>
  type(user, await dimensionField(user, id, label), typed);

describe('web: Size, what is not known for sure', () => {
  after(leaveStation);
  const limits = async (user: User) => {
    await unfold(user, 'How sure');
    await press(user, 'Show and set the limits');
    await soon(() => dialog());
  };
  const efficiencyFactor = () => textIn(button(/^Tube to plate/));

  it('refuses limits that do not rise, where they are set', async () => {
    const user = await open();
    await limits(user);
    await type(user, field('Bond of tube and plate, likely'), '5');
    expect(textIn(screen.getByRole('alert'))).equal('Low, likely and high must rise.');
    expect(panelNow()).not.have.property('known');
  });
  it('takes limits that rise, which move the figures, and takes them off again', async () => {
    const user = await open();
    const before = efficiencyFactor();
    await limits(user);
    for (const [end, value] of [
      ['low', '3'],
      ['likely', '5'],
      ['high', '9'],
    ] as const)
      await type(user, field(`Bond of tube and plate, ${end}`), value);
    await press(user, 'Done', dialog());
    expect(efficiencyFactor()).not.equal(before);
    expect(panelNow().known?.bond).include({ low: 3, likely: 5, high: 9, kind: 'judgement' });
    await limits(user);
    await press(user, 'Yours: undo Bond of tube and plate', dialog());
    await press(user, 'Done', dialog());
    expect(efficiencyFactor()).equal(before);
  });
});

describe('web: Size, another kind of heater', () => {
  after(leaveStation);

  it('says what comes along and what stays behind before it is done, and is one undo', async () => {
    const user = await open();
    await press(user, 'Another kind');
    await soon(() => dialog());
    await user.click(radio('Serpentine', dialog()));
    await rest();
    expect(textIn(dialog()))
      .match(/Comes along:.*pane.*box/)
      .and.match(/Stays behind:.*header tube/);
    expect(panelNow().family).equal('harp');
    await press(user, 'Make it that kind', dialog());
    expect(screen.queryByRole('dialog')).equal(null);
    expect(panelNow().family).equal('serpentine');
    await undo();
    expect(panelNow()).deep.equal(defaultJob('harp').heaters['panel-a']);
  });
  it('is left without a change', async () => {
    const user = await open();
    const before = documentNow();
    await press(user, 'Another kind');
    await soon(() => dialog());
    await user.click(radio('Lattice', dialog()));
    await user.keyboard('{Escape}');
    await rest();
    expect(documentNow()).equal(before);
  });
  it('of tubes that lie up the slope holds water that freezes, and says so', async () => {
    const job = defaultJob('serpentine');
    const user = await openStation('size', { ...job, loop: { ...job.loop, kind: 'drain-back' } }, { shallow: true });
    await press(user, 'Tubes lie across the slope');
    await soon(() => expect(pageText()).include('it freezes there'));
  });
});

describe('web: Size, a size that does not go', () => {
  after(leaveStation);

  it('of the pane is refused with what would make it go, which is one edit and one undo', async () => {
    const user = await open();
    await sets(user, 'outside-width', 'pane and box', '900');
    expect(textIn(screen.getByRole('alert'))).include('the plate would not fit');
    expect(pageText()).match(/Risers: 12 to 9/);
    await press(user, /^Fit it so/);
    expect(panelNow().parameters.riserCount).equal(9);
    expect(textIn(document.querySelector('[data-dimension="outside-width"]') as Element)).include('900');
    await undo();
    expect(panelNow().parameters.riserCount).equal(12);
    expect(useJob.getState().document).deep.equal(defaultJob('harp'));
  });
  it('of the gap under the pane is refused with the deeper board that gives it room', async () => {
    const user = await open();
    await sets(user, 'air-gap', 'plate to pane', '45');
    expect(textIn(screen.getByRole('alert'))).include('the stack would be deeper than the board');
    await press(user, /^Fit it so/);
    expect(textIn(document.querySelector('[data-dimension="air-gap"]') as Element)).include('45');
    expect(screen.queryByRole('alert')).equal(null);
  });
  it('is filled by more runs when it is the pane of a serpentine, and a dry fit sets its stubs', async () => {
    const user = await open('serpentine');
    await sets(user, 'outside-width', 'pane and box', '1400');
    expect(pageText()).include('10 runs,');
    await press(user, 'Fill the pane');
    expect(pageText()).include('12 runs,');
    expect(document.getElementById('finding-dry-fit-first')).not.equal(null);
    await type(user, field('Dry fit: stub'), '60');
    await type(user, field('Dry fit: pitch measured'), '87');
    expect(document.getElementById('finding-dry-fit-first')).equal(null);
    expect(panelNow().parameters.dryStub).closeTo(0.06, 1e-9);
    expect(panelNow().parameters.dryPitch).closeTo(0.087, 1e-9);
  });
});

describe('web: Size, what overheats', () => {
  after(leaveStation);

  it('opens to every material of the loop, and a pipe that is no good is a caution', async () => {
    const user = await open();
    await press(user, /all/, region(/^What overheats|^What overheats/));
    await soon(() => dialog());
    expect(textIn(dialog())).include('no soft-soldered joint has a pressure rating');
    await choose('Pipes between panel and store', 'pvc', dialog());
    expect(textIn(dialog())).match(/PVC pipe.*under steam.*60/);
    expect(documentNow().loop.pipe).equal('pvc');
    await user.keyboard('{Escape}');
    await rest();
    expect(textIn(document.getElementById('finding-loop-overheats') as HTMLElement)).include('PVC pipe stands 60');
  });
});
