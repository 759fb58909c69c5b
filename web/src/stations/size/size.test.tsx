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
  region,
  screen,
  textIn,
  type,
  undo,
  unfold,
} from '../../shell/station.fixture';

const finding = (code: string) => document.getElementById(`finding-${code}`);

describe('web: Size, the drawing', () => {
  after(leaveStation);
  it('takes a dimension that is typed on it, in any unit', async () => {
    const user = await openStation('size', defaultJob('harp'), { shallow: true });
    await type(user, await dimensionField(user, 'riser-clear', /riser, clear of headers/), `5' 11"`);
    expect(panelNow().parameters.riserClear).closeTo(71 * 0.0254, 1e-9);
    await undo();
    expect(panelNow().parameters.riserClear).closeTo(1.882, 1e-9);
  });
  it('refuses nonsense, a negative size and one that meets something where they are typed', async () => {
    const user = await openStation('size', defaultJob('harp'), { shallow: true });
    const before = documentNow();
    const entry = await dimensionField(user, 'riser-clear', /riser, clear of headers/);
    for (const [typed, words] of [
      ['furlong', /A number is missing here/],
      ['1,800', /1800 or 1.800/],
      ['-400', /at least 200 mm here: below that too short/],
      ['2400', /above that the headers would meet the corner cleats/],
      ['1900 stones', /“stones” is no unit here/],
    ] as const) {
      await type(user, entry, typed);
      expect(textIn(screen.getByRole('alert')), typed).match(words);
      expect(entry).property('value', typed);
    }
    expect(documentNow()).deep.equal(before);
  });
  it('says what clashes and mends it by one touch', async () => {
    const user = await openStation('size', defaultJob('harp'), { shallow: true });
    await press(user, 'One more: Risers');
    expect(pageText()).match(/plate wider than the box/);
    await press(user, /^Do that/);
    expect(pageText()).not.match(/plate wider than the box/);
  });
  it('shows how warm the plate is, and back', async () => {
    const user = await openStation('size', defaultJob('harp'), { shallow: true });
    const shades = () => screen.getByTestId('plan').querySelectorAll('linearGradient').length;
    expect(shades()).equal(0);
    await press(user, 'How warm');
    expect(shades()).above(0);
    await press(user, 'As drawn');
    expect(shades()).equal(0);
  });
  it('draws the panel from the side on its stand, and says what the wind does', async () => {
    const user = await openStation('size', defaultJob('harp'), { shallow: true });
    await press(user, 'From the side');
    expect(textIn(screen.getByTestId('section'))).include('no stand chosen');
    await choose('Stands on', 'hinged-frame');
    expect(textIn(screen.getByTestId('section'))).not.include('no stand chosen');
    expect(finding('ballast-holds')?.textContent).include('an engineer decide');
    await choose('Held down by', 'none');
    expect(finding('wind-lifts')?.textContent).include('an engineer decide');
    expect(panelNow().mount?.kind).equal('hinged-frame');
  });
});

describe('web: Size, what it is made of', () => {
  after(leaveStation);
  it('takes another pane and absorber through to what they ask for', async () => {
    await openStation('size', defaultJob('harp'), { shallow: true });
    await choose('Glazing', 'twin-wall');
    await choose('Absorber', 'snap-tracks');
    expect(panelNow().glazing?.kind).equal('twin-wall');
    expect(pageText()).include('The tracks are 100 mm wide');
  });
  it('brings the cautions of each pane, and none for a bare panel', async () => {
    const user = await openStation('size', defaultJob('harp'), { shallow: true });
    await choose('Glazing', 'annealed-glass');
    expect(finding('annealed-cracks')?.textContent).include('comes down in blades');
    await choose('Glazing', 'twin-wall');
    await press(user, 'One less: Bars under the pane');
    expect(finding('pane-bends')?.textContent).match(/bends .* over a gap of .* in its face/);
    await press(user, /^Do that: .*bends/);
    expect(finding('pane-bends')).equal(null);
    await choose('Glazing', 'none');
    expect(textIn(screen.getByTestId('section'))).not.include('pane');
  });
  it('gives a pane room to grow by one touch', async () => {
    const user = await openStation('size', defaultJob('harp'), { shallow: true });
    await choose('Glazing', 'acrylic');
    await type(user, field('Clearance'), '3');
    expect(finding('needs-room')?.textContent).include('has no room to grow');
    await press(user, /^Do that/);
    expect(finding('needs-room')).equal(null);
  });
  it('tells when a store that stands too high tears sheets at their bolts', async () => {
    const user = await openStation('size', defaultJob('lattice', { units: 'metric' }), { shallow: true });
    expect(pageText()).include('351 bolts,');
    expect(finding('lattice-vacuum')?.textContent).include('sucks its sheets flat');
    await type(user, field('Head'), '4 m');
    expect(finding('head-too-high')?.textContent).include('nearly a tonne on every square metre');
  });
  it('keeps a size below a mark of the tape as it is', async () => {
    const user = await openStation('size', defaultJob('lattice', { units: 'metric' }), { shallow: true });
    const gasket = screen.getByRole('textbox', { name: 'Gasket' });
    await type(user, gasket, '0.7');
    expect(gasket).property('value', '0.7 mm');
  });
});

describe('web: Size, what is worked out', () => {
  after(leaveStation);
  it('opens a figure to its formula, its source and both bands; one at rest has no band', async () => {
    const user = await openStation('size');
    await press(user, /^Tube to plate/);
    expect(pageText()).include('Duffie and Beckman, equation 6.5.18');
    await unfold(user, 'When nothing flows');
    await press(user, /^Full and still/);
    expect(pageText()).include('boiling by IAPWS-IF97');
  });
  it('a wider header shares the water better, and one undo takes it back', async () => {
    const user = await openStation('size');
    await unfold(user, 'Flow balance');
    const ratio = () => textIn(button(/^Riser flow, least to most/));
    const before = ratio();
    expect(before).match(/1 : 1\./);
    expect(textIn(region('Flow balance'))).include('A riser blocked in the middle costs');
    await press(user, /^35 × 1\.2 copper/, region('Flow balance'));
    expect(ratio()).not.equal(before);
    expect(panelNow().parameters.headerTube).equal('en-1057-35x1.2');
    await undo();
    expect(ratio()).equal(before);
  });
  it('says of a mark that drowns in the band that it is worth none, and takes its dimension in hand', async () => {
    const user = await openStation('size');
    await unfold(user, 'What a mark is worth');
    expect(textIn(region('What a mark is worth'))).include('Not worth a mark');
    await press(user, /^plate to pane/, region('What a mark is worth'));
    expect(textIn(screen.getByTestId('tape-value'))).include('plate to pane');
  });
  it('tells what overheats at the layers: a loop of PVC and a foam that melts are cautions', async () => {
    const plain = defaultJob('harp', { units: 'metric' });
    const user = await openStation('size', { ...plain, loop: { ...plain.loop, hotSensor: false } });
    expect(textIn(region('What overheats, empty in full sun'))).match(/digital sensor.*125 max/);
    // One touch plans the better ones.
    const weak = finding('sensor-overheats');
    if (!weak) throw new Error('no warning of the sensor');
    await press(user, /^Do that/, weak as HTMLElement);
    expect(finding('sensor-overheats')).equal(null);
    await choose('Insulation', 'polyiso-50');
    expect(finding('material-overheats')?.textContent).include('polyisocyanurate');
  });
});

describe('web: Size, other kinds', () => {
  after(leaveStation);
  it('a hose on a roof says how hot its first water is, and that windings lie on each other', async () => {
    const user = await openStation('size', defaultJob('spiral', { units: 'metric' }));
    expect(finding('first-litre-scalds')?.textContent).include('°C');
    await unfold(user, 'While it stands in the sun');
    expect(pageText()).include('First water after hours of full sun');
    await unfold(user, 'What a roll of hose gives');
    const before = panelNow().parameters;
    await press(user, /50 m: 11 turns/);
    expect(panelNow().parameters).not.deep.equal(before);
  });
  it('a roof tube says how warm it gets, and for how many minutes it lasts', async () => {
    const user = await openStation('size', defaultJob('roof-tube', { units: 'metric' }));
    expect(finding('air-in-plastic')?.textContent).include('kJ');
    await unfold(user, 'How warm it gets');
    expect(textIn(screen.getByRole('table', { name: 'How warm it gets' }))).include('°C');
    await unfold(user, 'Minutes of shower');
    expect(pageText()).match(/by gravity/);
  });
  it('a bank of heat pipes: sleeves that would meet, with the pitch that they need', async () => {
    const user = await openStation('size', defaultJob('heat-pipe', { units: 'metric' }));
    expect(finding('sealed-wet-tube')?.textContent).match(/901.kPa at 180/);
    await type(user, field('Bottle, across'), '110');
    expect(finding('pipes-too-close')).not.equal(null);
    await undo();
    expect(finding('pipes-too-close')).equal(null);
  });
});
