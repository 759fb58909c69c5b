import * as z from 'zod';
import { defineMember, entry, type Member, materials, type Pane } from '../catalogue';
import { countField, entryField, lengthField } from '../field';
import { sized } from '../quantity';
import type { Purchase } from '../shop';
import type { GlazingDesign, PaneKind } from './glazing';
import { barSize, paneFindings, paneUnderWind } from './paneFindings';

/** m. Sides of a pane that one or two people can carry, and that shops sell. */
const side = { low: 0.3, high: 3.2 };
/** m. Gasket and clearance to begin with, by the tape. */
const eighth = 0.0254 / 8;

/** A pane bedded in the rebate of a box, on a gasket. Kinds differ by what may be taken and what must be watched. */
function bedded(kind: PaneKind): Member<GlazingDesign> {
  const ofKind = (id: string) => entry('pane', id).kind === kind.kind;
  return defineMember({
    id: kind.id,
    name: kind.name,
    meaning: kind.meaning,
    schema: z.strictObject({
      pane: entryField('pane', kind.standardPane.metric, 'Pane', 'What the pane is made of.', ofKind),
      length: lengthField(side.low, side.high, 2, 'Pane length', 'Pane, edge to edge, along the risers.'),
      width: lengthField(side.low, side.high, 1.1, 'Pane width', 'Pane, edge to edge, along the headers.'),
      clearance: lengthField(0.001, 0.015, kind.clearance, 'Clearance', 'Room round the pane for it to grow in.'),
      gasket: lengthField(0, 0.01, 0.003, 'Gasket', 'Strip that the pane lies on.'),
      bars: countField(0, 5, kind.bars, 'Bars under the pane', 'Cross bars that hold a long pane up.'),
    }),
    standard: (habit) =>
      habit === 'metric'
        ? {
            pane: kind.standardPane.metric,
            length: 2,
            width: 1.1,
            clearance: kind.clearance,
            gasket: 0.003,
            bars: kind.bars,
          }
        : {
            pane: kind.standardPane.imperial,
            length: 76 * 0.0254,
            width: 46 * 0.0254,
            clearance: kind.clearance <= 0.003 ? eighth : 2 * eighth,
            gasket: eighth,
            bars: kind.bars,
          },
    design: ({ pane: paneId, length, width, clearance, gasket, bars }): GlazingDesign => {
      const pane = entry('pane', paneId);
      const mass = pane.weight * length * width;
      return {
        name: pane.name,
        pane: { length, width, thickness: pane.thickness },
        clearance,
        seatDepth: pane.thickness + gasket,
        cover: {
          index: pane.index,
          sheets: pane.sheets,
          transmittance: pane.transmittance,
          emittance: pane.emittance,
          conductance: pane.conductance,
          ...(pane.longWave ? { longWave: pane.longWave } : {}),
          ...(pane.cavities ? { cavities: pane.cavities } : {}),
        },
        expansion: materials[pane.material].expansion ?? 0,
        serviceLimit: pane.serviceLimit,
        mass,
        heatCapacity: mass * materials[pane.material].heatCapacity,
        bars: { count: bars, shade: Math.min(0.5, (bars * barSize) / length), width: barSize, depth: barSize },
        work: workOf(pane, bars),
        purchases: (prefix) => bought({ prefix, pane, length, width, bars }),
        findings: (path, gap) => paneFindings({ pane, length, width, bars, gap, path }),
        underWind: (gap, wind, paths) => paneUnderWind({ pane, length, width, bars, gap }, wind, paths),
      };
    },
  });
}

function workOf(pane: Pane, bars: number): string[] {
  return [
    ...(bars > 0 ? ['set the bars in first, painted black, a strip of gasket on each'] : []),
    ...(pane.kind === 'multiwall'
      ? ['flutes running uphill, printed face outward; tight tape over the upper ends, breathing tape over the lower']
      : []),
    ...(pane.kind === 'film'
      ? ['pull the film tight from the middle of each side, warm it to take the last slack']
      : []),
    ...(pane.kind === 'acrylic' ? ['no screw through it without a hole half as wide again'] : []),
    ...(pane.kind === 'annealed' ? ['grind every edge: heat cracks begin at a nick'] : []),
  ];
}

/** A name of the catalogue with its millimetres as a length, to be said in the reader’s unit. */
function sizedName(name: string): string {
  return name.replace(/(\d+(?:\.\d+)?) mm/, (_, millimetres: string) => sized(Number(millimetres) / 1000, true));
}

function bought(query: { prefix: string; pane: Pane; length: number; width: number; bars: number }): Purchase[] {
  const { prefix, pane, length, width, bars } = query;
  const gasket = 2 * (length + width) + bars * width;
  const mass = pane.weight * length * width;
  const lines: Purchase[] = [
    {
      id: `${prefix}/pane`,
      name: `Pane, ${sizedName(pane.name)}`,
      quantity: length * width,
      unit: 'm²',
      priceKey: `pane/${pane.id}`,
      rule: 'one pane to size',
      size: { width, height: length },
      mass,
    },
    {
      id: `${prefix}/gasket`,
      name: 'Glazing gasket',
      quantity: gasket,
      unit: 'm',
      priceKey: 'gasket',
      rule: bars > 0 ? 'once round the pane and along every bar' : 'once round the pane',
      mass: 0.05 * gasket,
    },
    {
      id: `${prefix}/alcohol`,
      name: 'Cleaning alcohol',
      quantity: 0.1 * length * width,
      unit: 'L',
      priceKey: 'alcohol',
      rule: 'both faces of the pane, wiped once',
      mass: 0,
    },
  ];
  if (pane.kind === 'multiwall')
    lines.push({
      id: `${prefix}/end-tape`,
      name: 'End tape: tight at the top, breathing at the bottom',
      quantity: 2 * width,
      unit: 'm',
      priceKey: 'end-tape',
      rule: 'both ends of the flutes, which run uphill',
      mass: 0.02 * 2 * width,
    });
  return lines;
}

export const temperedGlass = bedded({
  id: 'tempered-glass',
  name: 'Tempered glass',
  meaning: 'One sheet of tempered glass. It cannot be cut: the box is made to the pane.',
  kind: 'tempered',
  standardPane: { metric: 'tempered-low-iron-4', imperial: 'tempered-low-iron-5_32' },
  clearance: 0.003,
  bars: 0,
});

export const annealedGlass = bedded({
  id: 'annealed-glass',
  name: 'Annealed glass',
  meaning: 'Window glass. It cracks where its edge stays cold, and breaks into blades.',
  kind: 'annealed',
  standardPane: { metric: 'annealed-4', imperial: 'annealed-4' },
  clearance: 0.003,
  bars: 3,
});

export const sealedUnit = bedded({
  id: 'sealed-unit',
  name: 'Salvaged window unit',
  meaning: 'A sealed unit out of a window, whole, or one pane of it. Measure what it lets through.',
  kind: 'sealed-unit',
  standardPane: { metric: 'unit-4-12-4', imperial: 'unit-4-12-4' },
  clearance: 0.003,
  bars: 2,
});

export const twinWall = bedded({
  id: 'twin-wall',
  name: 'Multiwall polycarbonate',
  meaning: 'Multiwall sheet, flutes running uphill, ends closed, printed face outward.',
  kind: 'multiwall',
  standardPane: { metric: 'twin-wall-10', imperial: 'twin-wall-10' },
  clearance: 0.006,
  bars: 3,
});

export const fibreglass = bedded({
  id: 'fibreglass',
  name: 'Translucent fibreglass',
  meaning: 'Flat translucent sheet. It yellows; bars keep it from drumming.',
  kind: 'fibreglass',
  standardPane: { metric: 'fibreglass-1', imperial: 'fibreglass-1' },
  clearance: 0.005,
  bars: 4,
});

export const acrylic = bedded({
  id: 'acrylic',
  name: 'Acrylic',
  meaning: 'Clear acrylic sheet. It grows much and softens early.',
  kind: 'acrylic',
  standardPane: { metric: 'acrylic-4', imperial: 'acrylic-4' },
  clearance: 0.008,
  bars: 3,
});

export const film = bedded({
  id: 'film',
  name: 'Film',
  meaning: 'A film pulled tight over bars. Light, cheap, and loose when it is hot.',
  kind: 'film',
  standardPane: { metric: 'film-etfe', imperial: 'film-etfe' },
  clearance: 0.001,
  bars: 4,
});

/** No pane: the plate lies open to wind and sky. */
export const noGlazing = defineMember({
  id: 'none',
  name: 'No pane',
  meaning: 'A bare panel, for water little warmer than the air: pools in summer.',
  schema: z.strictObject({
    length: lengthField(side.low, side.high, 2, 'Opening length', 'Clear opening of the box, along the risers.'),
    width: lengthField(side.low, side.high, 1.1, 'Opening width', 'Clear opening of the box, along the headers.'),
  }),
  standard: (habit) => (habit === 'metric' ? { length: 2, width: 1.1 } : { length: 76 * 0.0254, width: 46 * 0.0254 }),
  design: ({ length, width }): GlazingDesign => ({
    name: 'no pane',
    pane: { length, width, thickness: 0 },
    clearance: 0,
    seatDepth: 0,
    cover: undefined,
    expansion: 0,
    serviceLimit: 1000,
    mass: 0,
    heatCapacity: 0,
    bars: { count: 0, shade: 0, width: 0, depth: 0 },
    work: [],
    purchases: () => [],
    findings: () => [],
    underWind: () => [],
  }),
});
