import { expect } from 'chai';
import { beginJob, type Job, withValueAt } from './document';
import { weatherDay, weatherYear, yearInsolation } from './forecasting';
import { openJob } from './job';
import { hereWeather, screenYear } from './picking/compareKinds';
import { clearOnPane } from './proof';
import { plantOf } from './proving';

const open = beginJob('harp', { units: 'metric', name: 'Valley', where: { latitude: 45, longitude: 0 } });
const valley = (elevation: number): Job =>
  withValueAt(
    open,
    ['site', 'horizon'],
    [0, 90, 180, 270].map((azimuth) => ({ azimuth, elevation })),
  );

describe('forecast, Pick and Prove behind a skyline', () => {
  it('a clear day has the less sun the higher the hills, and in winter none of its beam', () => {
    for (const month of [0, 5, 11]) {
      const days = [0, 15, 30, 60].map((high) => weatherDay(valley(high), { month, kind: 'clear' }).insolation);
      for (const [index, sum] of days.entries())
        if (index > 0) expect(sum, `month ${month}`).below(days[index - 1] ?? 0);
    }
    const noon = weatherDay(valley(30), { month: 11, kind: 'clear' }).at(12 * 3600);
    expect(noon.irradiance * noon.beamShare).equal(0);
    expect(noon.irradiance).above(0);
  });
  it('the hours of the year follow it', () => {
    expect(yearInsolation(weatherYear(valley(60)))).below(0.5 * yearInsolation(weatherYear(open)));
  });
  it('a row in front takes winter sun of the day', () => {
    const behind = withValueAt(open, ['site', 'standing', 'front'], { spacing: 1.5, rise: 0 });
    const [with_, without] = [behind, open].map((job) => weatherDay(job, { month: 11, kind: 'clear' }).insolation);
    expect(with_).below(0.8 * (without ?? 0));
  });
  it('the sun said in words at a reading is that behind the hills', () => {
    const winterNoon = Date.UTC(2026, 11, 21, 12);
    const free = clearOnPane(plantOf(open), winterNoon);
    const hidden = clearOnPane(plantOf(valley(40)), winterNoon);
    expect(free.beam).above(300);
    expect(hidden.beam).equal(0);
    expect(hidden.total).below(0.4 * free.total);
  });
  it('what a kind gives in a year falls to a fraction behind 60° of hills', () => {
    const [free, hidden] = [open, valley(60)].map((job) => screenYear(openJob(job), hereWeather(job)).given);
    expect(hidden)
      .below(0.3 * (free ?? 0))
      .and.above(0);
  });
});
