import * as z from 'zod';
import { defineMember, entry, materials, type Range, range, sheetMass } from '../catalogue';
import { choiceField, entryField } from '../field';
import { measured, sized } from '../quantity';
import { type AbsorberDesign, evenPlate } from './absorber';

const bonds: Record<'continuous' | 'skipped', Range> = {
  continuous: range(30, 100, 300, 'textbook', 'log-normal'),
  skipped: range(8, 15, 30, 'judgement', 'log-normal'),
};
/** A first seam is seldom a whole one: from soldered in places to as good as any. */
const bondsHomeMade: typeof bonds = {
  continuous: range(8, 40, 200, 'judgement', 'log-normal'),
  skipped: range(4, 12, 30, 'judgement', 'log-normal'),
};

/** m. Leg of the solder fillet along each side of a tube. */
const fillet = 0.002;
/** kg of flux on a metre of seam. Judgement. */
const fluxPerMetre = 0.008;
/** kg/m³. Tin with a few per cent of silver or copper. */
const solderDensity = 7400;

/** Thin copper sheet sweated along the tubes, one strip to a tube. */
export const solderedFoil = defineMember({
  id: 'soldered-foil',
  name: 'Copper sheet, soldered on',
  meaning: 'Strips of thin copper sheet sweated along each tube.',
  schema: z.strictObject({
    sheet: entryField('sheet', 'copper-0.3', 'Sheet', 'Copper sheet the strips are cut from.', (id) =>
      id.startsWith('copper-'),
    ),
    seam: choiceField(
      { continuous: 'soldered all along', skipped: 'soldered in places' },
      'continuous',
      'Seam',
      'How the strip is joined to its tube.',
    ),
  }),
  standard: (habit) => ({ sheet: habit === 'metric' ? 'copper-0.3' : 'copper-8oz', seam: 'continuous' as const }),
  design: ({ sheet: sheetId, seam }): AbsorberDesign => {
    const sheet = entry('sheet', sheetId);
    return {
      name: `${sheet.name}, ${seam === 'continuous' ? 'soldered all along' : 'soldered in places'}`,
      thickness: sheet.thickness,
      density: materials[sheet.material].density,
      work: {
        does: [
          'rub tubes and grooves bright, flux both',
          seam === 'continuous'
            ? 'sweat each strip on from its middle outward, a fillet along both sides of the tube'
            : 'sweat each strip on in places, a hand long and a hand apart',
          'let it cool by itself, then wash the flux off with warm water',
        ],
        needs: ['torch', 'wire brush', 'gloves', 'eye protection'],
        beware: [
          'Outdoors, out of your own smoke: flux fumes harm lungs. Ripple in the sheet is normal.',
          'Nothing that burns near the flame; look again an hour after.',
        ],
      },
      on: ({ prefix, tube, count, pitch, length }) => {
        const mass = sheetMass(sheet, pitch * length);
        const soldered = (seam === 'continuous' ? 1 : 0.4) * length * count;
        const solder = fillet ** 2 * soldered * solderDensity;
        return {
          plate: evenPlate(pitch, tube, materials[sheet.material].conductivity * sheet.thickness),
          leastPitch: tube.outerDiameter + 0.01,
          bond: bonds[seam],
          bondHomeMade: bondsHomeMade[seam],
          limit: { name: 'soft-soldered seams', temperature: materials.copper.serviceLimit },
          parts: [
            {
              id: `${prefix}/strip`,
              name: 'Plate strip',
              item: sheet.id,
              kind: 'sheet',
              width: pitch,
              height: length,
              turn: true,
              count,
              operations: ['groove over the tube', 'tin the seam'],
              mass,
            },
          ],
          purchases: [
            {
              id: `${prefix}/seam-solder`,
              name: 'Solder for the seams',
              quantity: solder,
              unit: 'kg',
              priceKey: 'solder',
              rule: `two fillets of ${sized(fillet)} along ${seam === 'continuous' ? 'each strip' : 'two fifths of each strip'}`,
              mass: solder,
            },
            {
              id: `${prefix}/seam-flux`,
              name: 'Flux for the seams',
              quantity: fluxPerMetre * soldered,
              unit: 'kg',
              priceKey: 'flux',
              rule: `${measured('mass', fluxPerMetre, 3)} on every ${sized(1)} of seam`,
              mass: 0,
            },
          ],
          mass: mass * count + solder,
          heatCapacity: mass * count * materials[sheet.material].heatCapacity,
          findings: [],
        };
      },
    };
  },
});
