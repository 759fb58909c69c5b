import { materials, sheetMass } from '../../catalogue';
import { sized } from '../../quantity';
import type { Part, Purchase } from '../../shop';
import { blackPaint, bought } from '../plate/design';
import { canWall, type TrickleLayout } from './layout';

/** kg of a can, cut and flat. */
function canMass({ flat, parameters }: TrickleLayout): number {
  return flat * parameters.height * canWall * materials.aluminium.density;
}

/** kg of all cans. */
export function cansMass(layout: TrickleLayout): number {
  return canMass(layout) * layout.parameters.cans * layout.parameters.strips;
}

export function trickleParts(prefix: string, layout: TrickleLayout): { parts: Part[]; purchases: Purchase[] } {
  const { parameters, outside, batten, wall, back, stripLength, stripWidth, glazing } = layout;
  const { cans, strips } = parameters;
  const wood = materials.softwood.density;
  const lath = (
    id: string,
    name: string,
    length: number,
    count: number,
    width: number,
    operations: string[],
  ): Part => ({
    id: `${prefix}/${id}`,
    name,
    item: batten.id,
    kind: 'length',
    stuff: 'timber',
    length,
    count,
    operations,
    mass: length * width * batten.width * wood,
  });
  const laps = (cans - 1) * strips;
  const tape = laps * stripWidth + 2 * strips * stripLength;
  const tube = strips * (outside.width / 2 + 0.5);
  const area = stripLength * stripWidth * strips;
  return {
    parts: [
      lath('side', 'Side', outside.length, 2, wall, ['rip in two']),
      lath('end', 'End', outside.width - 2 * wall, 2, wall, ['rip in two', 'notch for gutter or feeds']),
      lath('batten', 'Batten between strips', stripLength, strips + 1, parameters.gapBetween, [
        `rip to ${sized(parameters.gapBetween)}`,
      ]),
      {
        id: `${prefix}/back`,
        name: 'Back',
        item: back.id,
        kind: 'sheet',
        width: outside.length,
        height: outside.width,
        turn: true,
        count: 1,
        operations: [],
        mass: sheetMass(back, outside.length * outside.width),
      },
    ],
    purchases: [
      bought(prefix, {
        id: 'can',
        name: 'Drink cans, rinsed',
        quantity: cans * strips,
        unit: 'each',
        priceKey: 'can',
        rule: `${cans} a strip`,
        mass: cansMass(layout),
      }),
      bought(prefix, {
        id: 'tape',
        name: 'Aluminium tape',
        quantity: tape,
        unit: 'm',
        priceKey: 'alu-tape',
        rule: 'every lap, and both edges of each strip',
        mass: 0.02 * tape,
      }),
      bought(prefix, {
        id: 'lap-silicone',
        name: 'High-temperature silicone',
        quantity: 0.01 * laps * stripWidth,
        unit: 'L',
        priceKey: 'silicone',
        rule: 'a 3.5 mm bead in every lap',
        mass: 0.01 * laps * stripWidth,
      }),
      bought(prefix, {
        id: 'feed',
        name: 'Soft feed tube, 8 mm',
        quantity: tube,
        unit: 'm',
        priceKey: 'feed-tube',
        rule: 'from the manifold to the head of each strip',
        mass: 0.05 * tube,
      }),
      bought(prefix, {
        id: 'gutter',
        name: 'Gutter',
        quantity: outside.width,
        unit: 'm',
        priceKey: 'gutter',
        rule: 'under all feet',
        mass: 0.4 * outside.width,
      }),
      ...(parameters.insulation === 'wool'
        ? [
            bought(prefix, {
              id: 'wool',
              name: '30 mm mineral wool',
              quantity: area,
              unit: 'm²',
              priceKey: 'wool-30',
              rule: 'under all strips',
              mass: 1.8 * area,
            }),
          ]
        : []),
      ...(parameters.film === 'sealed'
        ? [
            bought(prefix, {
              id: 'skin',
              name: 'Second skin over the film: flattened cans',
              quantity: cans * strips,
              unit: 'each',
              priceKey: 'can',
              rule: 'one over each',
              mass: cansMass(layout),
            }),
          ]
        : []),
      ...glazing.purchases(prefix),
      blackPaint(prefix, area),
    ],
  };
}
