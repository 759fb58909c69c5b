import { expect } from 'chai';
import { beginJob, setFields } from '../document';
import { poolNeed, poolTarget, poolVolumePerDay } from '.';

const where = { latitude: 45, longitude: 0 };

describe('forecasting: the need of a pool', () => {
  it('is the heat by which its water cools in a day, whatever the mains', () => {
    // 8 x 4 m, 1.4 m deep: 44.8 m³ by 2 K, at 1.16 kWh for a cubic metre and kelvin, is some 104 kWh.
    for (const mains of [8, 14, 20]) {
      const volumePerDay = poolVolumePerDay({ area: 32, depth: 1.4 }, 28, mains);
      expect(volumePerDay * 1.16 * (28 - mains), `${mains}`).closeTo(104, 1.5);
    }
  });
  it('follows area, depth and temperature, and takes a pool’s temperature where a shower’s stood', () => {
    const job = beginJob('spiral', { name: 'Pool', units: 'metric', where });
    expect(job.need.target).above(poolTarget.most);
    const pool = setFields(job, poolNeed(job, { area: 20, depth: 1.2 })).document;
    expect(pool.need).deep.include({ kind: 'pool', pool: { area: 20, depth: 1.2 }, target: poolTarget.usual });
    const twice = setFields(pool, poolNeed(pool, { area: 40 })).document;
    expect(twice.need.volumePerDay).closeTo(2 * pool.need.volumePerDay, 0.002);
    // Wanted in summer, the mains are warmer: more of that water for the same heat.
    const summer = setFields(pool, [{ path: ['need', 'months'], value: [6, 7, 8] }]).document;
    expect(setFields(summer, poolNeed(summer)).document.need.volumePerDay).above(pool.need.volumePerDay);
  });
});
