import { expect } from 'chai';
import { pathSteps, withValueAt } from './changes';
import { defaultJob, familyIds } from './defaults';
import { describeChanges } from './describeChanges';
import type { Job } from './schema';

const job = defaultJob('harp');
const after = (...changes: [path: string, value: unknown][]): Job =>
  changes.reduce((moved, [path, value]) => withValueAt(moved, pathSteps(path), value), job);

const rows: [changes: [path: string, value: unknown][], words: string][] = [
  [[['heaters.panel-a.parameters.pitch', 0.106]], 'Riser pitch: 89\u00a0mm to 106\u00a0mm'],
  [[['heaters.panel-a.parameters.riserCount', 10]], 'Risers: 12 to 10'],
  [
    [['heaters.panel-a.parameters.joint', 'tees']],
    'Riser joints: drilled headers, risers let in to bought tees with short pieces between',
  ],
  [[['heaters.panel-a.count', 2]], 'Number of panels: 1 to 2'],
  [[['heaters.panel-a.turned', true]], 'Tubes lie across the slope: no to yes'],
  [[['site.standing.aim', 170]], 'Aim: 180° to 170°'],
  [[['site.horizon', [{ azimuth: 10, elevation: 4 }]]], 'Skyline changed'],
  [[['loop.glycol', 0.4]], 'Glycol: 40\u00a0%'.replace('\u00a0', ' ')],
  [[['decisions.ties.panel-a/side-low', 'sides']], 'Pieces from one length: sides'],
  [[], ''],
  [
    [
      ['heaters.panel-a.parameters.riserCount', 10],
      ['heaters.panel-a.parameters.pitch', 0.1],
      ['name', 'Shed'],
      ['currency', '€'],
    ],
    'Project name: New harp to Shed; Currency: $ to €; Risers: 12 to 10; 1 more',
  ],
];

describe('job: what an edit changed, in words', () => {
  for (const [changes, words] of rows)
    it(words || 'nothing for nothing', () => {
      const said = describeChanges(job, after(...changes), 'metric');
      if (changes.length < 2 || words === '')
        expect(said).match(new RegExp(`^${words.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')}$`));
      else {
        // Several: which come first is a matter of the document; three are told, the rest counted.
        expect(said.split('; ')).lengthOf(4);
        expect(said).match(/; 1 more$/);
      }
    });
  it('speaks in the reader’s own tape', () => {
    expect(describeChanges(job, after(['heaters.panel-a.parameters.pitch', 4 * 0.0254]), 'imperial')).match(
      /^Riser pitch: 3 1\/2″ to 4″$/,
    );
  });
  it('has words for every field of every kind', () => {
    for (const family of familyIds) {
      const whole = defaultJob(family);
      const other = { ...defaultJob(family, { units: 'imperial' }), units: whole.units };
      const said = describeChanges(whole, other, 'metric');
      expect(said, family).not.match(/undefined|NaN|\[object/);
      expect(said, family).match(/ to /);
    }
  });
});
