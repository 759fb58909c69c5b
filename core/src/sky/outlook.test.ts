import { expect } from 'chai';
import { clearSky, judgeOutlook, type OutlookHour } from '.';

const site = {
  latitude: -40.9,
  longitude: 172.9,
  elevation: 4,
  zone: 'Pacific/Auckland',
  tilt: 30,
  aim: 0,
  albedo: 0.2,
  horizon: [],
};
const midnight = Date.parse('2026-11-25T11:00:00Z');

/** Three days by the hour with a share of the clear sky each. */
function hours(shares: readonly number[]): OutlookHour[] {
  return shares.flatMap((share, day) =>
    Array.from({ length: 24 }, (_, hour) => {
      const time = midnight + (day * 24 + hour) * 3_600_000;
      const { global } = clearSky({ at: new Date(time + 1_800_000), ...site });
      return { time, global: share * global, air: 15 + hour / 4, wind: 3 };
    }),
  );
}

describe('sky: is tomorrow a good test day', () => {
  const days = judgeOutlook(hours([1, 0.4, 0.95]), site);
  it('parts the hours into the site’s own days', () => {
    expect(days.map(({ date, month }) => `${date}.${month}`)).deep.equal(['26.11', '27.11', '28.11']);
    expect(days[0]?.day).equal(midnight);
    expect(days[0]?.hours.map(({ hour }) => hour)).deep.equal(Array.from({ length: 24 }, (_, hour) => hour));
  });
  it('finds the clear square hours about solar noon, 13:20 here', () => {
    expect(days.map(({ verdict }) => verdict)).deep.equal(['good', 'poor', 'good']);
    const window = days[0]?.window;
    expect(window && window.from <= 12 && window.until >= 15).equal(true);
    expect(days[0]?.reason).match(/steady test/);
    expect(days[1]?.reason).match(/Clouds over \d+ tenths/);
    expect(days[0]?.airLow).equal(15);
  });
  it('has none behind a hill, none for a pane turned away, and says why', () => {
    const behind = judgeOutlook(hours([1]), { ...site, horizon: [{ azimuth: 0, elevation: 85 }] });
    expect(behind[0]).include({ verdict: 'poor' });
    const away = judgeOutlook(hours([1]), { ...site, tilt: 90, aim: 180 });
    expect(away[0]?.reason).match(/never comes within 30°/);
    const dark = judgeOutlook(
      hours([1]).map((hour) => ({ ...hour, time: hour.time })),
      { ...site, latitude: 89 },
    );
    expect(dark[0]?.reason).match(/hardly rises/);
  });
  it('calls an hour alone too short', () => {
    const lone = hours([0.3]).map((hour) =>
      hour.time === midnight + 13 * 3_600_000 ? { ...hour, global: hour.global / 0.3 } : hour,
    );
    expect(judgeOutlook(lone, site)[0]).include({ verdict: 'short' });
  });
});
