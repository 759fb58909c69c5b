import * as z from 'zod';
import { finding, type Words } from '../care';
import { defineMember, entry, materials, type Range, range, serviceLimits, type Tube } from '../catalogue';
import { choiceField, entryField } from '../field';
import { sized } from '../quantity';
import type { FinStep } from '../thermal';
import type { AbsorberDesign } from './absorber';

const bonds: Record<'greased' | 'dry', Range> = {
  greased: range(10, 20, 50, 'judgement', 'log-normal'),
  dry: range(2, 5, 12, 'judgement', 'log-normal'),
};
const bondsHomeMade: typeof bonds = {
  greased: range(5, 14, 40, 'judgement', 'log-normal'),
  dry: range(1, 3, 10, 'judgement', 'log-normal'),
};

/** m. Left between the ends of two fins on one tube, for expansion. */
const buttGap = 0.003;
/** L of grease to a metre of groove: a bead of 3 mm. */
const beadVolume = 0.009;

/**
 * How many layers of fin lie beside a tube, from it to half way to the next. A fin reaches `flange` from its tube's middle to
 * either side, and its neighbours' reach into it once that is more than half the pitch.
 */
export function lapSteps(query: {
  pitch: number;
  flange: number;
  tubeDiameter: number;
  conductance: number;
}): FinStep[] {
  const { pitch, flange, tubeDiameter, conductance } = query;
  // Fins too narrow to meet end where they end.
  const half = Math.min(pitch / 2, flange);
  const from = tubeDiameter / 2;
  const reach = Math.ceil(flange / pitch) + 1;
  const tubes = Array.from({ length: 2 * reach + 1 }, (_, index) => (index - reach) * pitch);
  const edges = tubes
    .flatMap((tube) => [tube - flange, tube + flange])
    .filter((x) => x > from + 1e-9 && x < half - 1e-9)
    .sort((a, b) => a - b);
  const stops = [from, ...edges, half];
  return stops.slice(1).flatMap((to, index): FinStep[] => {
    const start = stops[index] ?? from;
    const middle = (start + to) / 2;
    const layers = tubes.filter((tube) => Math.abs(middle - tube) <= flange).length;
    return to - start > 1e-9 ? [{ width: to - start, conductance: layers * conductance }] : [];
  });
}

/** Layers of fin under a tube: its own and those of neighbours that reach so far. */
export function lapCount(pitch: number, flange: number): number {
  return 1 + 2 * Math.floor(flange / pitch + 1e-9);
}

/** m. Half round of the groove that the tube lies in: sheet that the flange loses to it. */
function grooveTakes(tube: Tube): number {
  return ((Math.PI - 2) * tube.outerDiameter) / 4;
}

/** Formed aluminium fins, a groove for the tube in the middle, each lapping under the next. */
export const nestedFins = defineMember({
  id: 'nested-fins',
  name: 'Aluminium fins, nested',
  meaning: 'Formed aluminium fins that lap under each other, so that several layers lie under each tube.',
  schema: z.strictObject({
    fin: entryField('track', 'fin-300', 'Fin', 'Formed fin, by its width and length.', (id) => id.startsWith('fin-')),
    groove: choiceField(
      { greased: 'greased and tight', dry: 'dry' },
      'greased',
      'Groove',
      'Whether a bead of thermal grease fills the groove.',
    ),
  }),
  standard: (habit) => ({ fin: habit === 'metric' ? 'fin-300' : 'fin-12', groove: 'greased' as const }),
  design: ({ fin: finId, groove }): AbsorberDesign => {
    const fin = entry('track', finId);
    const { density, conductivity, heatCapacity } = materials.aluminium;
    return {
      name: `${fin.name}, ${groove === 'greased' ? 'greased' : 'dry'}`,
      thickness: fin.thickness,
      density,
      work: {
        does: [
          'trim the flanges, all fins of a kind against one stop; the outer tubes have theirs trimmed to half the pitch outside',
          ...(groove === 'greased' ? ['run a bead of thermal grease along each groove'] : []),
          'lay the first fin on its tube, each next one with its flange under the one before, so that the laps lie under the tubes',
          'press every groove home with a block',
        ],
        needs: ['snips', 'gloves: cut edges', 'wooden block'],
        beware: [],
      },
      on: ({ prefix, path, tube, count, pitch, length }) => {
        // As far as the next tube's groove: a fin that reached further would lift it.
        const sold = fin.width / 2 - grooveTakes(tube);
        // Tubes that touch leave a flange in name only; that they cannot is said by the pitch.
        const flange = Math.max(0.002, Math.min(sold, pitch - tube.outerDiameter / 2));
        // Nothing lies beside the outer tubes: their outer flanges end half a pitch out, so that the array is as wide as its pitch says.
        const outer = Math.min(flange, pitch / 2);
        const width = 2 * flange + 2 * grooveTakes(tube);
        const whole = Math.floor((length + buttGap) / (fin.length + buttGap));
        const rest = length - whole * (fin.length + buttGap);
        const mass = (metres: number, wide = width) => density * fin.thickness * wide * metres;
        const lengths = [
          { id: 'fin', name: 'Fin', length: fin.length, each: whole },
          { id: 'fin-rest', name: 'Fin, cut', length: rest, each: rest > 0.03 ? 1 : 0 },
        ].filter(({ each }) => each > 0);
        const inside = Math.max(0, count - 2);
        const rows: { suffix: string; words: string; tubes: number; flanges: readonly [number, number] }[] =
          count === 1
            ? [{ suffix: '', words: '', tubes: 1, flanges: [outer, outer] }]
            : outer < flange - 0.0005
              ? [
                  { suffix: '', words: '', tubes: inside, flanges: [flange, flange] },
                  { suffix: '-outer', words: ', outer tubes', tubes: 2, flanges: [outer, flange] },
                ]
              : [{ suffix: '', words: '', tubes: count, flanges: [flange, flange] }];
        const pieces = lengths.flatMap((one) =>
          rows.flatMap(({ suffix, words, tubes, flanges }) =>
            tubes > 0
              ? [{ ...one, id: `${one.id}${suffix}`, name: `${one.name}${words}`, count: one.each * tubes, flanges }]
              : [],
          ),
        );
        const covered = lengths.reduce((sum, piece) => sum + piece.each * piece.length, 0);
        const wide = ([low, high]: readonly [number, number]) => low + high + 2 * grooveTakes(tube);
        const massOfAll = pieces.reduce((sum, one) => sum + one.count * mass(one.length, wide(one.flanges)), 0);
        const grease = beadVolume * covered * count;
        return {
          plate: {
            width: Math.min(pitch, 2 * flange),
            steps: lapSteps({
              pitch,
              flange,
              tubeDiameter: tube.outerDiameter,
              conductance: conductivity * fin.thickness,
            }),
            mount: 'under',
            whole: false,
          },
          leastPitch: tube.outerDiameter + 0.02,
          bond: bonds[groove],
          bondHomeMade: bondsHomeMade[groove],
          limit:
            groove === 'greased'
              ? { name: serviceLimits.grease.name, temperature: serviceLimits.grease.limit }
              : { name: 'aluminium fins', temperature: materials.aluminium.serviceLimit },
          parts: pieces.map(({ id, name, length: piece, count: many, flanges }) => ({
            id: `${prefix}/${id}`,
            name,
            item: fin.id,
            kind: 'length' as const,
            stuff: 'track' as const,
            length: piece,
            count: many,
            slack: { short: 0.005, long: 0, words: 'it leaves that much more of its tube bare' },
            ...(flanges.some((one) => one < sold - 0.0005) ? { flanges } : {}),
            operations: [
              ...(groove === 'greased' ? ['bead of grease in the groove'] : []),
              'lap every fin under the one below it on the slope',
            ],
            mass: mass(piece, wide(flanges)),
          })),
          purchases:
            groove === 'greased'
              ? [
                  {
                    id: `${prefix}/grease`,
                    name: 'Thermal grease',
                    quantity: grease,
                    unit: 'L',
                    priceKey: 'grease',
                    rule: `a bead of ${sized(0.003)} along every groove`,
                    mass: 2.5 * grease,
                  },
                ]
              : [],
          mass: massOfAll,
          heatCapacity: massOfAll * heatCapacity,
          findings:
            2 * flange < pitch - 1e-9
              ? [
                  finding.caution(
                    'fins-leave-gap',
                    `${path}.parameters.pitch`,
                    { gap: pitch - 2 * flange, width: 2 * flange },
                    { fix: Math.floor(2 * flange * 1000) / 1000 },
                  ),
                ]
              : [],
        };
      },
    };
  },
});

export const finWords: Record<string, Words> = {
  'fins-leave-gap': (values, say) => ({
    headline: 'fins leave a gap',
    detail: `The fins cover ${say.length(values.number('width'))} a tube; ${say.length(values.number('gap'))} of every pitch catches no sun.`,
    remedy: `Set the pitch to ${say.length(values.number('width'))} or less, or take wider fins.`,
  }),
};
