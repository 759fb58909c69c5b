import { expect } from 'chai';
import * as fc from 'fast-check';
import {
  clearSpacing,
  type HorizonPoint,
  hiddenHours,
  hiddenSky,
  hidesSun,
  horizonAt,
  parseHorizon,
  rowShade,
  skylineOf,
  withHorizonPoint,
  writeHorizon,
} from '.';

const radians = Math.PI / 180;
const level = (elevation: number): HorizonPoint[] => [{ azimuth: 10, elevation }];
const hill: HorizonPoint[] = [
  { azimuth: 60, elevation: 0 },
  { azimuth: 90, elevation: 30 },
  { azimuth: 120, elevation: 0 },
];

describe('sky: the skyline', () => {
  it('a skyline that is none is refused, and not taken for an open one', () => {
    for (const text of ['hills', 'azimuth elevation', '90 12\nand a tree', 'none\n\nof it'])
      expect(parseHorizon(text).ok, text).equal(false);
    for (const text of ['', '  ', '\n\n']) expect(parseHorizon(text)).deep.equal({ ok: true, points: [] });
    expect(parseHorizon('90 12\n\n180 3\n').ok).equal(true);
  });
  it('runs straight from point to point, round the north too', () => {
    expect(horizonAt(hill, 75)).equal(15);
    expect(horizonAt(hill, 90)).equal(30);
    expect(horizonAt(hill, 240)).equal(0);
    const across = [
      { azimuth: 350, elevation: 10 },
      { azimuth: 10, elevation: 20 },
    ];
    expect(horizonAt(across, 0)).closeTo(15, 1e-9);
    expect(horizonAt(across, 355)).closeTo(12.5, 1e-9);
    expect(horizonAt([], 100)).equal(0);
    expect(horizonAt(level(7), 200)).equal(7);
  });
  it('never leaves the span of its points', () => {
    const point = fc.record({
      azimuth: fc.double({ min: 0, max: 359, noNaN: true }),
      elevation: fc.double({ min: 0, max: 90, noNaN: true }),
    });
    fc.assert(
      fc.property(
        fc.array(point, { minLength: 1, maxLength: 12 }),
        fc.double({ min: -400, max: 400, noNaN: true }),
        (points, azimuth) => {
          const heights = points.map(({ elevation }) => elevation);
          expect(horizonAt(points, azimuth)).within(Math.min(...heights) - 1e-9, Math.max(...heights) + 1e-9);
        },
      ),
    );
  });
  it('hides a sun below it and no other', () => {
    const skyline = skylineOf(hill);
    expect(hidesSun(skyline, 61, 90)).equal(true);
    expect(hidesSun(skyline, 59, 90)).equal(false);
    expect(hidesSun(skyline, 80, 270)).equal(false);
    expect(hidesSun(skyline, 90.5, 270)).equal(true);
  });
});

describe('sky: hours behind the skyline', () => {
  const reach = { latitude: -40.9, longitude: 172.9 };
  it('are none under an open sky', () => expect(hiddenHours([], reach, 2026)).deep.equal(Array(12).fill(0)));
  it('are the winter noon behind a hill in the north that the summer sun stands over', () => {
    const north = [
      { azimuth: 300, elevation: 0 },
      { azimuth: 330, elevation: 30 },
      { azimuth: 30, elevation: 30 },
      { azimuth: 60, elevation: 0 },
    ];
    const hours = hiddenHours(north, reach, 2026);
    // The sun of June climbs to 26° and is seen on either side of the hill only.
    expect(hours[5]).within(6, 9.5);
    expect(hours[11]).equal(0);
  });
  it('are those in which an even skyline stands over the sun (derived: at an equinox on the equator 15° an hour)', () => {
    const hours = hiddenHours([{ azimuth: 0, elevation: 30 }], { latitude: 0, longitude: 0 }, 2026);
    expect(hours[2]).closeTo(4, 0.25);
  });
});

describe('sky: sky behind the skyline', () => {
  // Derived: a level pane loses sin² of an even skyline; one as high as the sky hides all that the pane sees.
  it('takes sin² of its height from a level pane', () => {
    for (const height of [5, 20, 45, 90])
      expect(hiddenSky(skylineOf(level(height)), { tilt: 0, aim: 0 })).closeTo(Math.sin(height * radians) ** 2, 1e-6);
  });
  it('takes all that any pane sees when it is as high as the sky', () => {
    for (const tilt of [0, 30, 60, 90])
      expect(hiddenSky(skylineOf(level(90)), { tilt, aim: 70 })).closeTo((1 + Math.cos(tilt * radians)) / 2, 2e-3);
  });
  it('takes (h + sin h cos h)/π from a wall (derived)', () => {
    const height = 30;
    const wanted = (height * radians + Math.sin(height * radians) * Math.cos(height * radians)) / Math.PI;
    expect(hiddenSky(skylineOf(level(height)), { tilt: 90, aim: 200 })).closeTo(wanted, 1e-3);
  });
  it('takes nothing behind a wall, and the more the steeper a pane looks at a hill', () => {
    expect(hiddenSky(skylineOf(hill), { tilt: 90, aim: 270 })).closeTo(0, 1e-9);
    const toward = [0, 30, 60].map((tilt) => hiddenSky(skylineOf(hill), { tilt, aim: 90 }));
    expect(toward).deep.equal([...toward].sort((a, b) => a - b));
  });
});

describe('sky: a skyline as typed', () => {
  it('reads pairs however they are parted, in any order, with headings above', () => {
    const read = parseHorizon('azimuth elevation\n90, 12\n-45;7,5\n180\t3°\n10,20\n');
    if (!read.ok) throw new Error(read.message);
    expect(read.points).deep.equal([
      { azimuth: 10, elevation: 20 },
      { azimuth: 90, elevation: 12 },
      { azimuth: 180, elevation: 3 },
      { azimuth: 315, elevation: 7.5 },
    ]);
    expect(parseHorizon(writeHorizon(read.points))).deep.equal(read);
  });
  const refused: [text: string, line: number][] = [
    ['90 12 5', 1],
    ['0 1\n90', 2],
    ['400 1', 1],
    ['90 95', 1],
    ['90 -3', 1],
    ['0 1\n90 high 4', 2],
    ['0 1\n360 2', 0],
  ];
  for (const [text, line] of refused)
    it(`names the line of ${JSON.stringify(text)}`, () => {
      const read = parseHorizon(text);
      expect(read.ok).equal(false);
      if (!read.ok) expect(read.line).equal(line);
    });
  it('gives a first point two feet, and a point between neighbours none', () => {
    const one = withHorizonPoint([], { azimuth: 90, elevation: 25 });
    expect(one).deep.equal([
      { azimuth: 70, elevation: 0 },
      { azimuth: 90, elevation: 25 },
      { azimuth: 110, elevation: 0 },
    ]);
    expect(withHorizonPoint(one, { azimuth: 100, elevation: 20 })).length(4);
    expect(horizonAt(withHorizonPoint(one, { azimuth: 5, elevation: 10 }), 90)).equal(25);
  });
});

describe('sky: the row in front', () => {
  const row = { spacing: 2, rise: 0, length: 1.9, width: 3 };
  it('does not shade at the spacing that clears it, and does half a metre nearer (derived: L(cos β + sin β / tan h))', () => {
    const spacing = clearSpacing({ length: 2, tilt: 50, height: 25 });
    expect(spacing).closeTo(2 * (Math.cos(50 * radians) + Math.sin(50 * radians) / Math.tan(25 * radians)), 1e-12);
    const sun = { zenith: 65, azimuth: 180 };
    const standing = { tilt: 50, aim: 180 };
    expect(rowShade({ ...row, length: 2, spacing }, standing, sun)).closeTo(0, 1e-9);
    expect(rowShade({ ...row, length: 2, spacing: spacing - 0.5 }, standing, sun)).above(0.1);
  });
  it('agrees with rays sent from many points of the pane', () => {
    const any = (min: number, max: number) => fc.double({ min, max, noNaN: true });
    fc.assert(
      fc.property(
        any(10, 80),
        any(0, 360),
        any(10, 85),
        any(0, 360),
        any(0.8, 5),
        any(-0.5, 0.5),
        (tilt, aim, zenith, azimuth, spacing, rise) => {
          const fast = rowShade({ ...row, spacing, rise }, { tilt, aim }, { zenith, azimuth });
          expect(fast).closeTo(byRays({ ...row, spacing, rise }, tilt, aim, zenith, azimuth), 0.04);
        },
      ),
      { numRuns: 200 },
    );
  });
});

/** The slow and obvious way: a ray from each of 40 × 40 points of the pane, does it meet the front one? */
function byRays(
  row: { spacing: number; rise: number; length: number; width: number },
  tilt: number,
  aim: number,
  zenith: number,
  azimuth: number,
): number {
  const s = Math.sin(zenith * radians);
  const sun = [s * Math.sin(azimuth * radians), s * Math.cos(azimuth * radians), Math.cos(zenith * radians)] as const;
  const ahead = [Math.sin(aim * radians), Math.cos(aim * radians), 0] as const;
  const right = [ahead[1], -ahead[0], 0] as const;
  const slope = [
    -ahead[0] * Math.cos(tilt * radians),
    -ahead[1] * Math.cos(tilt * radians),
    Math.sin(tilt * radians),
  ] as const;
  const normal = [
    ahead[0] * Math.sin(tilt * radians),
    ahead[1] * Math.sin(tilt * radians),
    Math.cos(tilt * radians),
  ] as const;
  const dot = (a: readonly number[], b: readonly number[]) =>
    a.reduce((sum, value, index) => sum + value * (b[index] ?? 0), 0);
  if (dot(sun, normal) <= 1e-6) return 0;
  const foot = [ahead[0] * row.spacing, ahead[1] * row.spacing, row.rise] as const;
  let shaded = 0;
  for (let i = 0; i < 40; i += 1) {
    for (let j = 0; j < 40; j += 1) {
      const across = ((i + 0.5) / 40) * row.width;
      const up = ((j + 0.5) / 40) * row.length;
      const from = [0, 1, 2].map((axis) => across * (right[axis] ?? 0) + up * (slope[axis] ?? 0));
      const away = foot.map((value, axis) => value - (from[axis] ?? 0));
      const ray = dot(away, normal) / dot(sun, normal);
      if (ray <= 0) continue;
      const hit = from.map((value, axis) => value + ray * (sun[axis] ?? 0) - (foot[axis] ?? 0));
      const u = dot(hit, right);
      const v = dot(hit, slope);
      if (u >= 0 && u <= row.width && v >= 0 && v <= row.length) shaded += 1;
    }
  }
  return shaded / 1600;
}
