import { expect } from 'chai';
import * as fc from 'fast-check';
import {
  airMass,
  clearSky,
  clearSkyTemperature,
  dewPointOf,
  extraterrestrial,
  incidenceAngle,
  solarNoon,
  splitGlobal,
  sunCoordinates,
  sunPath,
  sunPosition,
  surroundingsTemperature,
  tiltedIrradiance,
} from '.';

const place = { latitude: 39.742476, longitude: -105.1786, elevation: 1830 };
const at = new Date('2003-10-17T19:30:30Z');

describe('sky: the sun', () => {
  it('stands where the published example of Reda and Andreas (2004) has it (recalled)', () => {
    const seen = sunPosition({ at, ...place });
    expect(seen.zenith).closeTo(50.112, 0.01);
    expect(seen.azimuth).closeTo(194.34, 0.01);
    expect(sunPosition({ at, ...place, refraction: false }).zenith).closeTo(50.128, 0.01);
  });
  it('reaches its solstice declination and the poles stay finite', () => {
    expect(sunCoordinates(new Date('2026-06-21T08:00:00Z')).declination).closeTo(23.436, 0.01);
    for (const latitude of [90, -90]) {
      const pole = sunPosition({ at, latitude, longitude: 0 });
      expect(Number.isFinite(pole.zenith) && Number.isFinite(pole.azimuth)).equal(true);
    }
  });
  it('is at 35° to the pane of D&B example 1.6.1 (recalled): 43° N, 13 Feb, 10:30 solar, 45°, 15° west of south', () => {
    // Declination -14°, hour angle -22.5°: height and azimuth by spherical trigonometry.
    const r = Math.PI / 180;
    const up = Math.sin(43 * r) * Math.sin(-14 * r) + Math.cos(43 * r) * Math.cos(-14 * r) * Math.cos(-22.5 * r);
    const zenith = Math.acos(up) / r;
    const fromSouth = Math.asin((Math.cos(-14 * r) * Math.sin(-22.5 * r)) / Math.sin(zenith * r)) / r;
    expect(incidenceAngle({ zenith, azimuth: 180 + fromSouth, tilt: 45, aim: 195 })).closeTo(35, 0.2);
  });
  it('mirrors hemispheres by declination', () => {
    // Equal and opposite declination: the March and September equinox sides, found by search, not by calendar.
    const north = new Date('2026-04-10T12:00:00Z');
    const wanted = -sunCoordinates(north).declination;
    let low = Date.parse('2026-09-01T00:00:00Z');
    let high = Date.parse('2026-12-01T00:00:00Z');
    for (let pass = 0; pass < 60; pass += 1) {
      const middle = (low + high) / 2;
      if (sunCoordinates(new Date(middle)).declination > wanted) low = middle;
      else high = middle;
    }
    const noonNorth = solarNoon(north, 0);
    const noonSouth = solarNoon(new Date(low), 0);
    const a = sunPosition({ at: noonNorth, latitude: 45, longitude: 0, refraction: false });
    const b = sunPosition({ at: noonSouth, latitude: -45, longitude: 0, refraction: false });
    expect(a.zenith).closeTo(b.zenith, 0.3);
    expect(a.azimuth).closeTo(180, 0.5);
    expect(Math.min(b.azimuth, 360 - b.azimuth)).closeTo(0, 0.5);
  });
  it('draws a path that is highest in its middle, and none in the polar night', () => {
    const path = sunPath({ near: at, latitude: -40.9, longitude: 172.9 });
    const highest = path.reduce((best, point) => (point.zenith < best.zenith ? point : best));
    expect(path.indexOf(highest)).closeTo(path.length / 2, 1.5);
    expect(sunPath({ near: new Date('2026-12-21T12:00:00Z'), latitude: 80, longitude: 0 })).deep.equal([]);
  });
});

describe('sky: the light', () => {
  it('has known air masses (Kasten and Young 1989)', () => {
    expect(airMass(0)).closeTo(1, 0.001);
    expect(airMass(60)).closeTo(1.994, 0.002);
    expect(airMass(90)).closeTo(37.92, 0.1);
  });
  it('has more sun above the air in January than in July', () => {
    expect(extraterrestrial(3)).closeTo(1408, 3);
    expect(extraterrestrial(185)).closeTo(1317, 3);
  });
  it('gives a plausible clear noon, brighter high up, dimmer when hazy', () => {
    const noon = { at: new Date('2026-06-21T12:00:00Z'), latitude: 40, longitude: 0, elevation: 0 };
    const sea = clearSky(noon);
    expect(sea.global).within(900, 1010);
    expect(sea.beamNormal).within(780, 920);
    expect(clearSky({ ...noon, elevation: 2000 }).beamNormal).above(sea.beamNormal);
    expect(clearSky({ ...noon, turbidity: 5 }).beamNormal).below(sea.beamNormal);
    expect(clearSky({ ...noon, at: new Date('2026-06-21T00:00:00Z') }).global).equal(0);
  });
  it('splits by Erbs at its published knots', () => {
    const global = (k: number) => k * extraterrestrial(80) * Math.cos(Math.PI / 6);
    const share = (k: number) => {
      const total = global(k);
      return splitGlobal({ global: total, zenith: 30, dayOfYear: 80 }).diffuse / total;
    };
    expect(share(0.2)).closeTo(1 - 0.018, 1e-9);
    expect(share(0.5)).closeTo(0.659, 0.002);
    expect(share(0.85)).closeTo(0.165, 1e-9);
  });
  const model = fc.constantFrom('isotropic' as const, 'hdkr' as const, 'perez' as const);
  it('loses and makes nothing on a flat pane, whatever the model', () => {
    fc.assert(
      fc.property(
        model,
        fc.double({ min: 0, max: 84, noNaN: true }),
        fc.double({ min: 1, max: 900, noNaN: true }),
        fc.double({ min: 1, max: 400, noNaN: true }),
        (name, zenith, beamNormal, diffuse) => {
          const global = beamNormal * Math.cos((zenith * Math.PI) / 180) + diffuse;
          const pane = tiltedIrradiance({
            model: name,
            beamNormal,
            diffuse,
            global,
            zenith,
            azimuth: 120,
            tilt: 0,
            aim: 0,
            dayOfYear: 100,
            albedo: 0.2,
          });
          expect(pane.total).closeTo(global, global * 1e-9);
        },
      ),
    );
  });
  it('stays finite and not below zero anywhere', () => {
    const any = (min: number, max: number) => fc.double({ min, max, noNaN: true });
    fc.assert(
      fc.property(
        model,
        any(0, 120),
        any(0, 360),
        any(0, 90),
        any(0, 360),
        any(0, 1000),
        any(0, 500),
        (name, zenith, azimuth, tilt, aim, beamNormal, diffuse) => {
          const global = beamNormal * Math.max(0, Math.cos((zenith * Math.PI) / 180)) + diffuse;
          const pane = tiltedIrradiance({
            model: name,
            beamNormal,
            diffuse,
            global,
            zenith,
            azimuth,
            tilt,
            aim,
            dayOfYear: 200,
            albedo: 0.2,
          });
          for (const part of Object.values(pane)) expect(Number.isFinite(part) && part >= 0).equal(true);
        },
      ),
    );
  });
  it('gives isotropic sky and ground by their view factors (derived: tilt 60°, sky 3/4, ground 1/4)', () => {
    const pane = tiltedIrradiance({
      model: 'isotropic',
      beamNormal: 0,
      diffuse: 200,
      global: 200,
      zenith: 40,
      azimuth: 180,
      tilt: 60,
      aim: 180,
      dayOfYear: 100,
      albedo: 0.2,
    });
    expect(pane.sky).closeTo(150, 1e-9);
    expect(pane.ground).closeTo(10, 1e-9);
  });
});

describe('sky: how cold it looks', () => {
  it('is 12 to 20 K below the air on a clear night (Berdahl and Martin 1984)', () => {
    const air = 15;
    const sky = clearSkyTemperature({ air, dewPoint: dewPointOf(air, 0.6), hour: 0 });
    expect(air - sky).within(12, 20);
  });
  it('knows the dew point of saturated air', () => expect(dewPointOf(20, 1)).closeTo(20, 1e-9));
  it('lies between sky and air for a tilted pane', () => {
    expect(surroundingsTemperature({ sky: -3, air: 15, tilt: 0 })).closeTo(-3, 1e-9);
    expect(surroundingsTemperature({ sky: -3, air: 15, tilt: 90 })).within(5.5, 7);
  });
});
