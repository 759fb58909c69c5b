import { expect } from 'chai';
import type { Finding } from '../care';
import { defaultJob, familyIds, type Job, parseJob, pathSteps, withValueAt } from '../document';
import { families, lifters } from '../families';
import { openJob } from '../job';
import { jobFindings, sayFinding } from './findings';

type Change = Record<string, unknown>;

/** A job of a kind with fields set by their paths. */
function job(kind: string, change: Change): Job {
  const made = Object.entries(change).reduce<Job>(
    (one, [path, value]) => withValueAt(one, pathSteps(path), value),
    defaultJob(kind),
  );
  const parsed = parseJob(made);
  if (!parsed.ok) throw new Error(JSON.stringify(parsed.errors));
  return parsed.job;
}
const find = (kind: string, change: Change, code: string): Finding | undefined =>
  jobFindings(openJob(job(kind, change))).find((one) => one.code === code);

/** A planted danger: the kind, what is set, the code, its gravity, and a twin that differs by one thing and is silent. */
const rows: [code: string, severity: Finding['severity'], kind: string, planted: Change, twin: Change][] = [
  ['plain-water-freezes', 'caution', 'serpentine', { 'loop.glycol': undefined }, { 'loop.glycol': 0.4 }],
  ['plain-water-freezes', 'caution', 'harp', { 'loop.kind': 'pumped-direct' }, { 'loop.kind': 'drain-back' }],
  [
    'plain-water-freezes',
    'caution',
    'lattice',
    { 'loop.kind': 'thermosiphon' },
    { 'loop.kind': 'thermosiphon', 'need.frost': false },
  ],
  [
    'glycol-weak',
    'caution',
    'harp',
    { 'loop.kind': 'pumped-coil', 'loop.glycol': 0.15 },
    { 'loop.kind': 'pumped-coil', 'loop.glycol': 0.4 },
  ],
  [
    'night-siphon',
    'caution',
    'serpentine',
    { 'loop.check': undefined },
    { 'loop.check': undefined, 'loop.kind': 'drain-back' },
  ],
  [
    'night-siphon',
    'caution',
    'harp',
    { 'loop.kind': 'pumped-direct', 'loop.check': false },
    { 'loop.kind': 'pumped-direct' },
  ],
  ['sensor-overheats', 'caution', 'harp', { 'loop.hotSensor': undefined }, {}],
  ['sensor-overheats', 'caution', 'trickle', { 'loop.hotSensor': false }, { 'loop.hotSensor': true }],
  ['glycol-overheats', 'caution', 'serpentine', {}, { 'heaters.panel-a.glazing': { kind: 'none', parameters: {} } }],
  ['loop-overheats', 'caution', 'harp', { 'stores.tank-a.kind': 'barrel' }, {}],
  ['no-relief', 'stop', 'harp', { 'loop.pressurised': true }, { 'loop.pressurised': true, 'loop.relief': true }],
  [
    'no-expansion',
    'caution',
    'serpentine',
    { 'loop.pressurised': true },
    { 'loop.pressurised': true, 'loop.expansion': true },
  ],
  ['weak-under-pressure', 'stop', 'harp', { 'loop.pressurised': true }, {}],
  ['weak-under-pressure', 'stop', 'lattice', { 'loop.pressurised': true }, {}],
  ['weak-under-pressure', 'stop', 'trickle', { 'loop.pressurised': true }, {}],
  [
    'barrel-under-pressure',
    'stop',
    'harp',
    { 'loop.pressurised': true, 'stores.tank-a.kind': 'barrel' },
    { 'loop.pressurised': true },
  ],
  [
    'plastic-under-pressure',
    'stop',
    'harp',
    { 'loop.pressurised': true, 'loop.pipe': 'pvc' },
    { 'loop.pressurised': true, 'loop.pipe': 'copper' },
  ],
  ['starts-on-hot-plate', 'stop', 'harp', { 'loop.cutout': undefined }, { 'loop.cutout': true }],
  [
    'starts-on-hot-plate',
    'stop',
    'harp',
    { 'loop.cutout': false },
    { 'loop.cutout': false, 'loop.kind': 'thermosiphon', 'loop.glycol': 0.4 },
  ],
  ['scalds', 'caution', 'harp', { 'loop.mixing': false }, { 'loop.mixing': true }],
  ['scalds', 'caution', 'trickle', { 'loop.mixing': false }, { 'loop.mixing': false, 'need.kind': 'growing' }],
  ['hose-scalds', 'caution', 'harp', { 'loop.pipe': 'hose' }, { 'loop.pipe': 'copper' }],
  ['legionella', 'caution', 'harp', { 'loop.coil': false }, { 'loop.coil': false, 'need.target': 60 }],
  ['legionella', 'caution', 'lattice', { 'loop.coil': undefined }, { 'loop.coil': undefined, 'need.kind': 'growing' }],
  [
    'glycol-by-drinking-water',
    'stop',
    'serpentine',
    { 'need.drinking': true },
    { 'need.drinking': true, 'loop.backflow': true },
  ],
  [
    'never-drunk',
    'stop',
    'trickle',
    { 'need.drinking': true, 'loop.coil': false },
    { 'need.drinking': true, 'loop.coil': true },
  ],
  [
    'never-drunk',
    'stop',
    'lattice',
    { 'need.drinking': true, 'loop.coil': false },
    { 'need.drinking': false, 'loop.coil': false },
  ],
  ['lead-free', 'caution', 'harp', { 'need.drinking': true, 'loop.coil': false }, { 'need.drinking': true }],
  ['hose-not-drunk', 'stop', 'harp', { 'need.drinking': true, 'loop.pipe': 'hose' }, { 'loop.pipe': 'hose' }],
  ['zinc-by-copper', 'caution', 'lattice', { 'loop.pipe': 'copper' }, { 'loop.pipe': 'pex' }],
  ['aluminium-by-copper', 'caution', 'trickle', { 'loop.pipe': 'copper' }, { 'loop.pipe': 'pex' }],
  [
    'store-small',
    'caution',
    'harp',
    { 'heaters.panel-a.count': 3 },
    { 'heaters.panel-a.count': 2, 'stores.tank-a.volume': 0.3 },
  ],
  [
    'barrel-topples',
    'caution',
    'lattice',
    { 'loop.kind': 'thermosiphon', 'stores.tank-a.kind': 'barrel' },
    { 'loop.kind': 'thermosiphon' },
  ],
  ['store-freezes', 'caution', 'batch-box', {}, { 'need.frost': false }],
  ['store-freezes', 'caution', 'batch-box', { 'loop.glycol': 0.4 }, { 'need.frost': false }],
  ['tepid-store', 'caution', 'batch-box', {}, { 'need.kind': 'growing', 'need.drinking': false }],
  ['panel-holds-water', 'caution', 'serpentine', { 'loop.kind': 'drain-back' }, {}],
];

describe('job: dangers, each planted, and a safe twin', () => {
  for (const [code, severity, kind, planted, twin] of rows)
    it(`${code}: ${kind} with ${JSON.stringify(planted)}, not with ${JSON.stringify(twin)}`, () => {
      const found = find(kind, planted, code);
      expect(found?.severity).equal(severity);
      expect(find(kind, twin, code)).equal(undefined);
      if (!found) return;
      for (const habit of ['metric', 'imperial'] as const) {
        const { headline, detail, remedy } = sayFinding(found, habit);
        expect(headline).not.equal('');
        // Each with its number, unless it is what it is made of that decides.
        if (code !== 'never-drunk' && code !== 'panel-holds-water' && code !== 'weak-under-pressure')
          expect(detail, habit).match(/\d/);
        expect(`${headline}${detail}${remedy}`).not.match(/NaN|undefined|Infinity|!/);
      }
      // What it offers mends it.
      if (found.fix !== undefined) expect(find(kind, { ...planted, [found.path]: found.fix }, code)).equal(undefined);
    });
  it('a new job of every kind plans for all of it', () => {
    for (const kind of familyIds)
      for (const units of ['metric', 'imperial'] as const)
        expect(
          jobFindings(openJob(defaultJob(kind, { units }))).map(({ code }) => code),
          kind,
        ).deep.equal(
          {
            lattice: ['lattice-vacuum'],
            serpentine: ['dry-fit-first', 'array-racks', 'glycol-overheats'],
            'batch-box': ['store-freezes', 'tepid-store'],
            spiral: ['first-litre-scalds', 'material-overheats'],
            'heat-pipe': ['sealed-wet-tube'],
            'roof-tube': ['air-in-plastic', 'tepid-store'],
            trough: ['concentrated-light'],
          }[kind] ?? [],
        );
  });
  it('every kind says what its water touches, and what of it is never drunk', () => {
    const designs = familyIds.map((kind) => openJob(defaultJob(kind)).panels[0]?.design);
    expect(designs.map((design) => design?.wettedMetal)).deep.equal([
      'copper',
      'copper',
      'zinc',
      'aluminium',
      'steel',
      'none',
      'copper',
      'none',
      'copper',
    ]);
    expect(Object.keys(families)).deep.equal(familyIds);
  });
  it('lets nobody lift more than 25 kg, nor a large pane alone', () => {
    expect(lifters(22)).equal('one person lifts it');
    expect(lifters(22, 2.2)).equal('two people lift it');
    expect(lifters(25.1)).equal('two people lift it');
    expect(lifters(63)).equal('three people lift it');
    expect(lifters(99)).equal('four people lift it');
    expect(lifters(101)).match(/hoist/);
  });
});

describe('cautions: heaters of unlike kind in one job', () => {
  /** A harp whose water stands outdoors, with a batch box beside it, in either order. */
  const beside = (first: 'harp' | 'batch-box', loop: Change = {}): Job => {
    const second = first === 'harp' ? 'batch-box' : 'harp';
    const [own, other] = [first, second].map((kind) => defaultJob(kind).heaters['panel-a']);
    return job('harp', {
      heaters: { 'panel-a': { ...own, order: 0 }, 'panel-b': { ...other, order: 1 } },
      'loop.kind': 'pumped-direct',
      'need.frost': true,
      ...loop,
    });
  };
  const codes = (one: Job) => jobFindings(openJob(one)).map(({ code }) => code);

  for (const first of ['harp', 'batch-box'] as const)
    it(`a batch box does not remove the frost caution of a harp, ${first} first`, () => {
      const found = jobFindings(openJob(beside(first)));
      const harp = found.find(({ code }) => code === 'plain-water-freezes');
      const box = found.find(({ code }) => code === 'store-freezes');
      expect(harp?.values.panel).equal(first === 'harp' ? 1 : 2);
      expect(box?.values.heater).equal(first === 'harp' ? 2 : 1);
    });
  it('glycol protects the harp and not the batch box; a weak mixture is reported for the harp', () => {
    expect(codes(beside('harp', { 'loop.glycol': 0.4 })))
      .include('store-freezes')
      .and.not.include('plain-water-freezes');
    expect(codes(beside('batch-box', { 'loop.glycol': 0.15 }))).include.members(['store-freezes', 'glycol-weak']);
    // A batch box alone has no loop that glycol would be in.
    expect(codes(job('batch-box', { 'loop.glycol': 0.15 }))).not.include('glycol-weak');
  });
  it('legionella is reported for showers when a batch box stands beside the harp', () => {
    const showers = { 'need.kind': 'showers', 'need.target': 45, 'loop.coil': false };
    expect(codes(beside('batch-box', showers))).include.members(['legionella', 'tepid-store']);
  });
});
