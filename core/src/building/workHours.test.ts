import { expect } from 'chai';
import { defaultJob, heatersOf, type Job } from '../document';
import { openJob } from '../job';
import { jobSteps, workHours } from '.';

const withParameters = (change: Record<string, unknown>): Job => {
  const job = defaultJob('harp');
  const [panel] = heatersOf(job);
  if (!panel) throw new Error('no heater');
  const { id, ...entry } = panel;
  return {
    ...job,
    heaters: { [id]: { ...entry, order: 0, parameters: { ...entry.parameters, ...change } } } as Job['heaters'],
  };
};

describe('building: hours of work', () => {
  const ten = openJob(withParameters({ riserCount: 10, pitch: 0.106 }));
  it('of no steps are those at the saw: four minutes a piece, and a minute and a half a hole', () => {
    const parts = ten.panels[0]?.design.parts ?? [];
    const pieces = parts.reduce((sum, { count }) => sum + count, 0);
    const holes = parts.reduce(
      (sum, { count, holes: rows = [] }) =>
        sum + count * rows.reduce((all, { positions }) => all + positions.length, 0),
      0,
    );
    expect(workHours(ten, []).likely).closeTo((4 * pieces + 1.5 * holes) / 60, 1e-9);
  });
  it('grow by a step with its lines, whatever it puts in', () => {
    const step = { ...jobSteps(ten)[0], id: 'x', does: ['one', 'two'], parts: [] } as ReturnType<
      typeof jobSteps
    >[number];
    expect(workHours(ten, [step]).likely - workHours(ten, []).likely).closeTo((10 + 2 * 5) / 60, 1e-9);
  });
  it('grow by every riser: its cut, its two holes and its place', () => {
    const nine = openJob(withParameters({ riserCount: 9, pitch: 0.106 }));
    const more = workHours(ten).likely - workHours(nine).likely;
    expect(more).within((4 + 2 * 1.5) / 60, 0.6);
  });
  it('are told with what a practised hand and a bad day make of them', () => {
    const { low, likely, high } = workHours(ten);
    expect([low / likely, high / likely].map((one) => Math.round(one * 10) / 10)).deep.equal([0.6, 1.8]);
  });
});
