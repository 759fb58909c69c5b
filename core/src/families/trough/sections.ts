import { measured, sized } from '../../quantity';
import type { SectionSource } from '../../readout';
import { monthNames } from '../../sky';
import { halfAngle, sectionOptics, type TroughModel } from '../../thermal';
import type { HeaterAtWork, Orientation } from '../family';
import { buildableHeight, takenAt } from './findings';
import type { TroughLayout } from './layout';
import { fieldRange } from './parameters';
import { troughDays } from './season';
import { likelyMirror } from './thermal';

/** W/m² of beam that heights are compared by. */
const strongBeam = 850;
/** m off the best height that are shown. */
const off = [-0.012, -0.006, 0, 0.006, 0.012] as const;
/** Degrees of the sun from square, and m from height to height, of the map. */
const mapAngles = [0, 3, 6, 10, 15, 20, 30] as const;
const mapRows = 9;
/** mrad by which a mirror's slope may be off, with what such a one looks like. */
const ripples: readonly [milliradians: number, looks: string][] = [
  [3, 'float glass'],
  [8, 'film laid smooth'],
  [20, 'a ripple that is seen'],
  [40, 'waves and bubbles'],
  [80, 'crumpled foil'],
];
const percent = (share: number) => `${Math.round(100 * share)} %`;

/** What only a trough can show: where the light goes by height and sun, ripples, the seasons, and how its water warms along it. */
export function troughSections(
  layout: TroughLayout,
  thermal: TroughModel,
  { boundary, state }: HeaterAtWork,
  standing: Orientation | undefined,
): SectionSource[] {
  const { section, parameters, lit, opening, depth } = layout;
  const best = buildableHeight(layout);
  const low = section.pipe / 2 + 0.003;
  const high = depth - section.pipe / 2 - 0.003;
  const absorptance = thermal.description.absorptance.likely;
  return [
    {
      id: 'height',
      title: 'How high the pipe stands',
      deep: true,
      make: () => {
        const { low: least, high: most } = fieldRange('height');
        const heights = [...off.map((by) => best + by), section.radius / 2]
          .map((height) => Math.round(height * 1000) / 1000)
          .filter((height) => height >= Math.max(low, least) && height <= Math.min(high, most));
        return {
          kind: 'choices',
          path: 'parameters.height',
          lead: `Heat that all pipes take up of ${measured('irradiance', strongBeam, 0)} of beam, the sun square on, by the height of the pipe over the mirror.`,
          choices: [...new Set(heights)]
            .sort((a, b) => a - b)
            .map((height) => ({
              set: height,
              name: { value: height, kind: 'length' as const },
              value: {
                value: strongBeam * thermal.apertureArea * absorptance * takenAt(layout, height),
                kind: 'power' as const,
                digits: 0,
              },
              chosen: Math.abs(height - section.height) < 0.0005,
              ...(Math.abs(height - best) < 0.0005
                ? { advised: 'most' }
                : Math.abs(height - section.radius / 2) < 0.0006
                  ? { advised: 'half the radius' }
                  : {}),
            })),
          tail: 'A half round has no true focus: rays far from its middle cross far below half its radius.',
        };
      },
    },
    {
      id: 'hits',
      title: 'What hits, by height and sun',
      deep: true,
      make: () => {
        const heights = Array.from(
          { length: mapRows },
          (_, index) => Math.round(1000 * (low + ((high - low) * index) / (mapRows - 1))) / 1000,
        );
        const nearest = heights.reduce(
          (found, height, index) =>
            Math.abs(height - section.height) < Math.abs((heights[found] ?? 0) - section.height) ? index : found,
          0,
        );
        return {
          kind: 'map',
          x: {
            title: 'sun from square, across the trough',
            values: mapAngles.map((angle) => ({ value: angle, kind: 'angle' as const, digits: 0 })),
          },
          y: {
            title: 'pipe over the mirror',
            values: heights.map((height) => ({ value: height, kind: 'length' as const })),
          },
          shares: heights.map((height) => {
            const optics = sectionOptics({ ...section, height });
            return mapAngles.map((angle) => optics.hits(angle));
          }),
          now: { row: nearest, column: 0 },
          note: `Share of the rays through the opening that meet the pipe, thrown on by the mirror or straight. Half of what is taken up square on is still taken up ${measured('angle', halfAngle(sectionOptics(section), likelyMirror), 0)} off it.`,
        };
      },
    },
    {
      id: 'ripple',
      title: 'What ripples cost',
      deep: true,
      make: () => {
        const optics = sectionOptics(section);
        const smooth = optics.taken(0, { ...likelyMirror, slope: 0 });
        return {
          kind: 'table',
          columns: ['mirror', 'slope off by', 'taken up, of a smooth one'],
          rows: ripples.map(([milliradians, looks]) => [
            looks,
            `${milliradians} mrad`,
            percent(optics.taken(0, { ...likelyMirror, slope: milliradians / 1000 }) / smooth),
          ]),
          note: 'Root mean square of the slope; light is thrown off by twice as much, and the sun’s own disc is added.',
        };
      },
    },
    ...(standing?.sun
      ? [
          {
            id: 'season',
            title: 'Tilt and hours by season',
            deep: true as const,
            make: () => {
              const sun = standing.sun as NonNullable<Orientation['sun']>;
              return {
                kind: 'table' as const,
                columns: ['the 21st of', 'best tilt', 'hours, as it stands', 'hours at that tilt'],
                rows: troughDays(thermal.acceptance, { tilt: standing.tilt, ...sun }).map(
                  ({ month, best: tilt, hours, atBest }) => [
                    monthNames[month] ?? '',
                    tilt === undefined ? 'no sun' : measured('angle', tilt, 0),
                    hours.toFixed(1),
                    atBest.toFixed(1),
                  ],
                ),
                note: 'Hours of a clear day, the horizon level, in which it takes up half or more of what it does square on. A stand that is set anew each month keeps them.',
              };
            },
          },
        ]
      : []),
    ...(state.outletTemperature === undefined
      ? []
      : [
          {
            id: 'along',
            title: 'How warm the water gets along the pipe',
            deep: true as const,
            make: () => {
              const likely = thermal.along(boundary);
              const dull = thermal.along(boundary, { reflectance: -1, slope: 1, sun: -1 });
              const bright = thermal.along(boundary, { reflectance: 1, slope: -1, sun: 1 });
              return {
                kind: 'curve' as const,
                x: { title: 'along the lit pipe, trough after trough', kind: 'height' as const },
                y: { title: 'water', kind: 'temperature' as const, digits: 0 },
                points: likely.map(({ at, temperature }, index) => ({
                  x: at,
                  low: dull[index]?.temperature ?? temperature,
                  likely: temperature,
                  high: bright[index]?.temperature ?? temperature,
                })),
                note: `Band: mirror and sun one standard deviation duller and brighter. ${parameters.troughs} of ${sized(lit)}, opening ${sized(opening)}.`,
              };
            },
          },
        ]),
  ];
}
