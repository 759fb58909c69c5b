import type { OpenJob } from '../job';
import { heatConditions, tiltOf } from '../job';
import { formatNumber } from '../quantity';
import type { Section } from '../readout';
import {
  type Characteristic,
  type FlowThrough,
  leastJudged,
  modifierAt,
  productShortfall,
  type Reference,
  type Storage,
  beamAt as storageBeam,
  workingRange,
} from '../thermal';
import { evaluateOpen } from './evaluate';

/** What the characteristic of one heater of a job is taken at: the job's tilt and fluid, and the flow that this heater has. */
export function referenceOf(open: OpenJob, index: number): Reference {
  const heater = evaluateOpen(open).perHeater[index];
  if (!heater) throw new RangeError(`no heater ${index}`);
  const { fluid } = heatConditions(open.job, open.groups, {});
  return {
    tilt: tiltOf(open.job),
    specificFlow: heater.massFlow / heater.apertureArea,
    ...(fluid ? { fluid } : {}),
  };
}

/** The characteristic of one heater of a job, fitted to its model. */
export function heaterCharacteristic(open: OpenJob, index: number): Characteristic {
  const panel = open.panels[index];
  if (!panel) throw new RangeError(`no heater ${index}`);
  return panel.design.thermal.characteristic(referenceOf(open, index));
}

/** Degrees of a beam at which a report prints the modifier. */
const printed = [10, 20, 30, 40, 50, 60, 70, 80] as const;

function percent(share: number): string {
  return `${formatNumber(100 * share, 1)} %`;
}

/** What a heater whose absorber stands far over its water has besides. */
function bentRows(corrections: FlowThrough['corrections'], small: (value: number) => string): string[][] {
  const { keptSquared, riseKept, keptAir, keptWind, keptSky, riseRoot, keptRoot, riseSquaredRoot } = corrections;
  if (keptSquared === undefined) return [];
  return [
    ['sun, sun', 'sun kept²', small(keptSquared)],
    ['sun, rise', 'sun kept × rise', small(riseKept ?? 0)],
    ['sun, air', 'sun kept × (air − 15 °C)', small(keptAir ?? 0)],
    ['sun, wind', 'sun kept × u′', small(keptWind ?? 0)],
    ['sun, sky', 'sun kept × long-wave balance', small(-(keptSky ?? 0))],
    ['rise, root of wind', 'rise × (√u − √3)', small(riseRoot ?? 0)],
    ['sun, root of wind', 'sun kept × (√u − √3)', small(keptRoot ?? 0)],
    ['rise², root of wind', 'rise² × (√u − √3)', small(riseSquaredRoot ?? 0)],
  ];
}

/** Incidence angle modifiers of beam by angle. */
function flowModifiers({ beamModifier, skyModifier, groundModifier }: FlowThrough): Section {
  const shortfall = productShortfall(beamModifier);
  const product = beamModifier.round
    ? ''
    : ` Between the two planes Kb is taken from a table of both angles: across × along would be off by ${percent(Math.abs(shortfall.share))} of the beam square on, at worst, at ${shortfall.transversal}° across and ${shortfall.longitudinal}° along.`;
  const at = (table: readonly number[], angle: number) => formatNumber(modifierAt(table, angle), 2);
  return {
    id: 'modifiers',
    kind: 'table',
    title: 'Incidence angle modifier of beam, Kb',
    columns: ['degrees from square', ...printed.map((angle) => `${angle}°`)],
    rows: beamModifier.round
      ? [['all planes', ...printed.map((angle) => at(beamModifier.transversal, angle))]]
      : [
          ['across', ...printed.map((angle) => at(beamModifier.transversal, angle))],
          ['along', ...printed.map((angle) => at(beamModifier.longitudinal, angle))],
        ],
    note: `Sky ${formatNumber(skyModifier, 2)}, ground ${formatNumber(groundModifier, 2)} at this tilt.${product}`,
  };
}

/** Share of a beam that a store keeps by angle, an open lid among it, and what it loses shut. */
function storageAngles(storage: Storage): Section {
  const square = storageBeam(storage, 0, 0);
  const row = (words: string, at: (angle: number) => number) => [
    words,
    ...printed.map((angle) => formatNumber(at(angle) / square, 2)),
  ];
  return {
    id: 'modifiers',
    kind: 'table',
    title: 'Incidence angle modifier of beam, Kb',
    columns: ['degrees from square', ...printed.map((angle) => `${angle}°`)],
    rows: [
      row('across', (angle) => storageBeam(storage, angle, 0)),
      row('along, sun higher', (angle) => storageBeam(storage, 0, angle)),
      row('along, sun lower', (angle) => storageBeam(storage, 0, -angle)),
    ],
    note: `Square on it keeps ${formatNumber(square, 2)} of the beam${storage.hasLid ? ', an open lid with it' : ''}; of the sky ${formatNumber(storage.sky, 2)}, of the ground ${formatNumber(storage.ground, 2)}. ${storage.hasLid ? 'Lid shut' : 'By night under cloud'} it loses ${formatNumber(storage.shutLoss, 2)} W/K.`,
  };
}

/** The characteristic as a laboratory prints it: coefficients of ISO 9806:2017 on aperture, modifiers by angle, and what it is worth. */
export function characteristicTables(characteristic: Characteristic): Section[] {
  const { iso, corrections, residual, reference, apertureArea } = characteristic;
  const row = (symbol: string, words: string, value: number, digits: number, unit: string) => [
    symbol,
    words,
    formatNumber(value, digits),
    unit,
  ];
  // Three figures, however small.
  const small = (value: number) =>
    formatNumber(value, value === 0 ? 0 : Math.max(0, 2 - Math.floor(Math.log10(Math.abs(value)))));
  const { fluid: runs = 'water' } = reference;
  const fluid = typeof runs === 'object' && 'glycol' in runs ? `glycol, ${formatNumber(100 * runs.glycol)} %` : 'water';
  const [low, high] = workingRange.irradiance;
  return [
    {
      id: 'coefficients',
      kind: 'table',
      title: 'Coefficients, ISO 9806:2017, quasi-dynamic, on aperture',
      columns: ['symbol', 'what it is', 'value', 'unit'],
      rows: [
        row('η0,b', 'peak efficiency for beam, wind 3 m/s', iso.eta0b, 3, ''),
        row('Kd', 'modifier of diffuse light', iso.kd, 2, ''),
        row('a1', 'loss, wind 3 m/s, air 15 °C', iso.a1, 2, 'W/m²K'),
        row('a2', 'loss with temperature', iso.a2, 4, 'W/m²K²'),
        row('a3', 'loss with wind', iso.a3, 3, 'J/m³K'),
        row('a4', 'long wave', iso.a4, 3, ''),
        row('a5', 'heat capacity', iso.a5 / 1000, 1, 'kJ/m²K'),
        row('a6', 'peak efficiency with wind', iso.a6, 4, 's/m'),
        row('a7', 'long wave with wind', iso.a7, 4, 's/m'),
        ['a8', 'loss, fourth power', small(1e6 * iso.a8), 'µW/m²K^4'],
      ],
      note: `Aperture ${formatNumber(apertureArea, 3)} m²; ${
        characteristic.kind === 'storage'
          ? `${formatNumber(1000 * characteristic.volume)} L of water that stands, lid open`
          : `${formatNumber(1000 * reference.specificFlow, 1)} g/s of ${fluid} for each m²`
      }; tilt ${formatNumber(reference.tilt)}°. Wind counts from 3 m/s (u′ = u − 3)${
        characteristic.kind === 'storage' ? '' : ', temperatures of the water are means of in and out'
      }.`,
    },
    characteristic.kind === 'storage' ? storageAngles(characteristic) : flowModifiers(characteristic),
    {
      id: 'corrections',
      kind: 'table',
      title: 'What the equation of the standard leaves out',
      columns: ['term', 'times', 'value'],
      rows: [
        ['air', 'rise × (air − 15 °C)', small(corrections.air)],
        ['wind squared', 'rise × u′²', small(corrections.windSquared)],
        ['rise, air', 'rise² × (air − 15 °C)', small(corrections.riseAir)],
        ['rise, sky', 'rise × long-wave balance', small(corrections.riseSky)],
        ['rise, wind', 'rise² × u′', small(corrections.riseWind)],
        ['flow, gain', 'sun kept × ln(flow ÷ reference)', small(-corrections.flowGain)],
        ['flow, loss', 'rise × ln(flow ÷ reference)', small(corrections.flowLoss)],
        ...bentRows(corrections, small),
      ],
      note: `Each is taken off. With them the fit is within ${percent(residual.rms)} of useful heat (root mean square), ${percent(residual.worst)} at worst, over ${residual.count} conditions that were held back: sun ${formatNumber(low)} to ${formatNumber(high)} W/m², angles to ${workingRange.incidence[1]}° (the beam across the heater, along it and between), air ${workingRange.air[0]} to ${workingRange.air[1]} °C, wind ${workingRange.wind[0]} to ${workingRange.wind[1]} m/s, water to ${workingRange.inletRise[1]} K over the air, and at least ${leastJudged} W/m² gained. Worked out from the drawing and verified against worked cases; no laboratory has measured this heater.`,
    },
  ];
}
