import { expect } from 'chai';
import { joined, type Source } from './readings';

const sensors = { thermometers: 'two digital', flow: 'meter', sun: 'pyranometer' } as const;
const page = (name: string, times: number[], count = 6): Source => ({
  id: 1,
  name,
  sensors,
  count,
  readings: times.map((time) => ({ time, inlet: 10, outlet: 20, air: 15, flow: 0.04, irradiance: 800 })),
});
const times = (sources: Source[], name: string) =>
  sources.find((one) => one.name === name)?.readings.map(({ time }) => time);

describe('web: readings page by page', () => {
  it('are one list in order of time, what came on two pages once, each name for itself', () => {
    const all = joined([
      [page('shed', [5, 6]), page('notebook', [50])],
      [page('shed', [3, 4, 5]), page('notebook', [])],
      [page('shed', [1, 2])],
    ]);
    expect(times(all, 'shed')).deep.equal([1, 2, 3, 4, 5, 6]);
    expect(times(all, 'notebook')).deep.equal([50]);
    expect(all.map(({ name }) => name)).deep.equal(['shed', 'notebook']);
  });
  it('of nothing are none', () => {
    expect(joined([])).deep.equal([]);
  });
});
