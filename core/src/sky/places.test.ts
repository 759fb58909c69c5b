import { expect } from 'chai';
import * as fc from 'fast-check';
import {
  airPressure,
  clearSkyAt,
  dayOfYear,
  extraterrestrial,
  hourAngle,
  incidenceAngle,
  noonSun,
  solarNoon,
  sunCoordinates,
  sunPath,
  sunPosition,
  tiltedIrradiance,
} from '.';

const any = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const moment = fc.integer({ min: Date.UTC(1950, 0, 1), max: Date.UTC(2050, 11, 31) }).map((at) => new Date(at));

describe('sky: places and days (derived)', () => {
  const noons: [what: string, at: string, latitude: number, longitude: number, height: number, side: number][] = [
    // Height at noon is 90 less the latitude, more the declination on the same side.
    ['equator at an equinox', '2026-03-20T12:00:00Z', 0, 0, 90, Number.NaN],
    ['Greenwich at the June solstice', '2026-06-21T12:00:00Z', 51.48, 0, 90 - 51.48 + 23.44, 180],
    ['Greenwich at the December solstice', '2026-12-21T12:00:00Z', 51.48, 0, 90 - 51.48 - 23.44, 180],
    ['Gannet Reach in June', '2026-06-21T00:00:00Z', -40.9, 172.9, 90 - 40.9 - 23.44, 0],
    ['Juniper Draw in December', '2026-12-21T19:00:00Z', 36.6, -105.8, 90 - 36.6 - 23.44, 180],
    ['inside the tropics the sun stands to the north in June', '2026-06-21T12:00:00Z', 10, 0, 90 + 10 - 23.44, 0],
  ];
  for (const [what, at, latitude, longitude, height, side] of noons)
    it(what, () => {
      const near = new Date(at);
      const noon = sunPosition({ at: solarNoon(near, longitude), latitude, longitude, refraction: false });
      expect(90 - noon.zenith).closeTo(height, 0.3);
      expect(noonSun(near, latitude, longitude).height).closeTo(height, 0.3);
      if (Number.isNaN(side)) return;
      const off = Math.abs(((noon.azimuth - side + 540) % 360) - 180);
      expect(off).below(1);
      expect(noonSun(near, latitude, longitude).azimuth).equal(side);
    });
  it('never sets at midsummer above the polar circle, and never rises at midwinter', () => {
    expect(sunPath({ near: new Date('2026-06-21T12:00:00Z'), latitude: 75, longitude: 20 })).length(145);
    expect(sunPath({ near: new Date('2026-12-21T12:00:00Z'), latitude: 75, longitude: 20 })).length(0);
  });
  it('has a day of twelve hours at the equator all year, within refraction', () => {
    for (const day of ['2026-01-15', '2026-06-21', '2026-10-01'])
      expect(sunPath({ near: new Date(`${day}T12:00:00Z`), latitude: 0, longitude: 0, minutes: 5 }).length * 5).within(
        715,
        735,
      );
  });
  it('counts days of the year', () => {
    expect(dayOfYear(new Date('2026-01-01T00:00:00Z'))).equal(1);
    expect(dayOfYear(new Date('2024-12-31T23:59:00Z'))).equal(366);
  });
  it('thins the air by the standard atmosphere: 79 501 Pa at 2 000 m (ISO 2533, recalled)', () => {
    expect(airPressure(0)).equal(101325);
    expect(airPressure(2000)).closeTo(79501, 30);
  });
});

describe('sky: properties', () => {
  it('the sun is always somewhere, and no further from the equator than the tropics', () => {
    fc.assert(
      fc.property(moment, any(-90, 90), any(-180, 180), (at, latitude, longitude) => {
        const { zenith, azimuth } = sunPosition({ at, latitude, longitude });
        expect(zenith).within(0, 180);
        expect(azimuth).within(0, 360);
        expect(Math.abs(sunCoordinates(at).declination)).below(23.46);
        expect(Math.abs(hourAngle(at, longitude))).at.most(180);
        expect(extraterrestrial(dayOfYear(at))).within(1310, 1415);
      }),
    );
  });
  it('refraction lifts the sun and never sinks it', () => {
    fc.assert(
      fc.property(moment, any(-80, 80), (at, latitude) => {
        const bare = sunPosition({ at, latitude, longitude: 0, refraction: false });
        const seen = sunPosition({ at, latitude, longitude: 0 });
        expect(bare.zenith - seen.zenith).within(0, 0.8);
      }),
    );
  });
  it('a level pane meets the sun at its zenith angle, and a turned one at the angle of its mirror', () => {
    fc.assert(
      fc.property(any(0, 90), any(0, 360), any(0, 90), any(0, 360), (zenith, azimuth, tilt, aim) => {
        expect(incidenceAngle({ zenith, azimuth, tilt: 0, aim })).closeTo(zenith, 1e-6);
        const angle = incidenceAngle({ zenith, azimuth, tilt, aim });
        expect(incidenceAngle({ zenith, azimuth: -azimuth, tilt, aim: -aim })).closeTo(angle, 1e-6);
        // A pane and its back face see the sun at angles that add up to a half turn.
        expect(angle + incidenceAngle({ zenith, azimuth, tilt: 180 - tilt, aim: aim + 180 })).closeTo(180, 1e-6);
      }),
    );
  });
  it('a clear sky dims with haze and brightens with height, and its parts add up', () => {
    fc.assert(
      fc.property(any(0, 85), any(0, 3000), any(2, 6), (zenith, elevation, turbidity) => {
        const sky = clearSkyAt({ zenith, elevation, day: 100, turbidity });
        expect(sky.beamNormal * Math.cos((zenith * Math.PI) / 180) + sky.diffuse).closeTo(sky.global, 1e-6);
        expect(sky.beamNormal).below(extraterrestrial(100));
        expect(clearSkyAt({ zenith, elevation, day: 100, turbidity: turbidity + 1 }).beamNormal).at.most(
          sky.beamNormal + 1e-9,
        );
      }),
    );
  });
  it('a pane square to the sun gets the whole beam', () => {
    fc.assert(
      fc.property(any(0, 80), any(0, 360), (zenith, azimuth) => {
        const pane = tiltedIrradiance({
          model: 'perez',
          beamNormal: 800,
          diffuse: 100,
          global: 800 * Math.cos((zenith * Math.PI) / 180) + 100,
          zenith,
          azimuth,
          tilt: zenith,
          aim: azimuth,
          dayOfYear: 100,
          albedo: 0.2,
        });
        expect(pane.beam).closeTo(800, 1e-6);
      }),
    );
  });
});
