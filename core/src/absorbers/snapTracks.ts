import * as z from 'zod';
import { finding, type Words } from '../care';
import { defineMember, entry, materials, type Range, range, serviceLimits } from '../catalogue';
import { choiceField, entryField } from '../field';
import { sized } from '../quantity';
import type { Part } from '../shop';
import { type AbsorberDesign, evenPlate } from './absorber';

const bonds: Record<'bedded' | 'dry', Range> = {
  bedded: range(8, 15, 25, 'judgement', 'log-normal'),
  dry: range(2, 4, 10, 'judgement', 'log-normal'),
};
const bondsHomeMade: typeof bonds = {
  bedded: range(4, 10, 22, 'judgement', 'log-normal'),
  dry: range(1, 3, 8, 'judgement', 'log-normal'),
};

/** m. Left open between two tracks on one tube, for expansion. */
const buttGap = 0.003;
/** m. Shortest piece of track worth clipping on. */
const leastPiece = 0.05;
/** L of silicone to a metre of bead of 5 mm. */
const beadVolume = 0.02;

/** Formed aluminium tracks that clip over the tubes. */
export const snapTracks = defineMember({
  id: 'snap-tracks',
  name: 'Aluminium tracks, clipped on',
  meaning: 'Formed aluminium tracks that clip over each tube.',
  schema: z.strictObject({
    track: entryField('track', 'track-100', 'Track', 'Formed track, by its width and length.', (id) =>
      id.startsWith('track-'),
    ),
    bed: choiceField(
      { bedded: 'bedded in silicone', dry: 'clipped on dry' },
      'bedded',
      'Bed',
      'Whether a bead of high-temperature silicone fills the groove.',
    ),
  }),
  standard: (habit) => ({ track: habit === 'metric' ? 'track-100' : 'track-4', bed: 'bedded' as const }),
  design: ({ track: trackId, bed }): AbsorberDesign => {
    const track = entry('track', trackId);
    return {
      name: `${track.name}, ${bed === 'bedded' ? 'bedded in silicone' : 'clipped on dry'}`,
      thickness: track.thickness,
      density: materials.aluminium.density,
      work: {
        does: [
          'degrease the tracks',
          ...(bed === 'bedded' ? ['run a bead of silicone along each groove; work while it is wet'] : []),
          `snap the tracks on from one end, ${sized(buttGap)} between two for growth`,
        ],
        needs: ['rubber mallet', 'gloves: cut edges'],
        beware: [],
      },
      on: ({ prefix, path, tube, count, pitch, length }) => {
        const whole = Math.floor((length + buttGap) / (track.length + buttGap));
        const rest = length - whole * (track.length + buttGap);
        const mass = (metres: number) => materials.aluminium.density * track.thickness * track.width * 1.15 * metres;
        const piece = (id: string, name: string, pieceLength: number, each: number): Part => ({
          id: `${prefix}/${id}`,
          name,
          item: track.id,
          kind: 'length',
          stuff: 'track',
          length: pieceLength,
          count: each * count,
          operations: bed === 'bedded' ? ['bead of silicone in the groove'] : [],
          mass: mass(pieceLength),
        });
        const parts = [
          ...(whole > 0 ? [piece('track', 'Track', track.length, whole)] : []),
          ...(rest >= leastPiece ? [piece('track-rest', 'Track, cut', rest, 1)] : []),
        ];
        const covered = whole * track.length + (rest >= leastPiece ? rest : 0);
        return {
          plate: evenPlate(Math.min(track.width, pitch), tube, materials.aluminium.conductivity * track.thickness),
          leastPitch: track.width,
          bond: bonds[bed],
          bondHomeMade: bondsHomeMade[bed],
          limit:
            bed === 'bedded'
              ? { name: serviceLimits.silicone.name, temperature: serviceLimits.silicone.limit }
              : { name: 'aluminium tracks', temperature: materials.aluminium.serviceLimit },
          parts,
          purchases:
            bed === 'bedded'
              ? [
                  {
                    id: `${prefix}/track-silicone`,
                    name: 'High-temperature silicone',
                    quantity: beadVolume * covered * count,
                    unit: 'L',
                    priceKey: 'silicone',
                    rule: `a bead of ${sized(0.005)} along every track`,
                    mass: beadVolume * covered * count,
                  },
                ]
              : [],
          mass: mass(covered) * count,
          heatCapacity: mass(covered) * count * materials.aluminium.heatCapacity,
          findings:
            pitch < track.width - 1e-9
              ? [
                  finding.clash(
                    'tracks-overlap',
                    `${path}.parameters.pitch`,
                    { pitch, width: track.width },
                    { fix: track.width },
                  ),
                ]
              : [],
        };
      },
    };
  },
});

export const trackWords: Record<string, Words> = {
  'tracks-overlap': (values, say) => ({
    headline: 'tracks overlap',
    detail: `The tracks are ${say.length(values.number('width'))} wide and the risers only ${say.length(values.number('pitch'))} apart.`,
    remedy: `Set the pitch to ${say.length(values.number('width'))} or more, or take a narrower track.`,
  }),
};
