import type { Range } from '../catalogue';
import { type FinStep, steppedFin } from './fin';
import { airState } from './fluids';
import { ninetyDeviate } from './spread';

const stefan = 5.670374e-8;

function mean(values: readonly number[]): number {
  return values.reduce((sum, value) => sum + value, 0) / values.length;
}

/** Standard error of a mean; nought for one reading. */
function scatter(values: readonly number[]): number {
  if (values.length < 2) return 0;
  const middle = mean(values);
  const square = values.reduce((sum, value) => sum + (value - middle) ** 2, 0) / (values.length - 1);
  return Math.sqrt(square / values.length);
}

/** K that two touches of a probe on the same spot differ by. Judgement. */
export const probeRepeatability = 0.3;
/** kg. Smallest step of a kitchen scale. */
export const kitchenScaleStep = 0.001;

/** Long-wave emittance of a plate not yet painted: copper or aluminium, tarnished. Judgement, 0.05 bright to 0.3. */
export const bareEmittance = 0.15;

/** How the panel lies at the test: painted or bare, and whether air reaches its back. */
export interface TestBench {
  painted: boolean;
  backOpen: boolean;
}

/**
 * W/m²K that a plate lying level gives to a still room. From its upper face Lloyd and Moran (1974), 0.54 Ra^¼ to 1e7 and 0.15 Ra^⅓
 * above; from its under face, where air reaches it, McAdams' 0.27 Ra^¼; with radiation from each. A fifth either way by draughts and
 * walls.
 *
 * @param side m. Area of the plate over its rim
 * @param emittance of the upper face
 * @param back emittance of the under face; none where it lies on something that insulates
 */
export function roomLoss(query: {
  plate: number;
  room: number;
  emittance: number;
  side: number;
  back?: number;
}): number {
  const { plate, room, emittance, side, back } = query;
  const air = airState((plate + room) / 2);
  const middle = (plate + room) / 2 + 273.15;
  const rayleigh = (9.80665 * Math.max(0.1, plate - room) * side ** 3 * air.prandtl) / (middle * air.kinematic ** 2);
  const upper = rayleigh < 1e7 ? 0.54 * rayleigh ** 0.25 : 0.15 * Math.cbrt(rayleigh);
  const under = back === undefined ? 0 : 0.27 * rayleigh ** 0.25;
  const radiating = emittance + (back ?? 0);
  return ((upper + under) * air.conductivity) / side + 4 * radiating * stefan * middle ** 3;
}

/** A touch probe on tube and plate of a bare panel with hot water through it, indoors. °C. */
export interface BondReading {
  tube: number;
  plate: number;
  room: number;
}

export interface BondTest {
  readings: readonly BondReading[];
  /** m. Plate on one tube. */
  width: number;
  tubeDiameter: number;
  steps: readonly FinStep[];
  /** Of the upper face, and of the under face where air reaches it. */
  emittance: number;
  back?: number;
  /** m. Area of the plate over its rim. */
  side: number;
  /** K. What two touches of the same probe differ by. */
  probe: number;
}

/** W/mK. No bond is told apart from a perfect one beyond this. */
const perfect = 300;

/**
 * Bond conductance from the fall of temperature between tube and plate: the plate gives its heat to the room, and that
 * heat has come through the bond. Derived; spread from the probe, the room's draught and the scatter of the readings.
 * Nothing when no reading has the tube warmer than the plate and the plate warmer than the room.
 */
export function bondFromTest(test: BondTest): Range | undefined {
  const rows = test.readings
    .filter(({ tube, plate, room }) => plate > room + 2 && tube >= plate)
    .map(({ tube, plate, room }) => {
      const { emittance, side, back } = test;
      const loss = roomLoss({ plate, room, emittance, side, ...(back === undefined ? {} : { back }) });
      const fin = steppedFin(test.steps, loss);
      const gather = test.tubeDiameter + (test.width - test.tubeDiameter) * fin;
      return { fall: tube - plate, heat: loss * gather * (plate - room) };
    });
  if (rows.length === 0) return undefined;
  const fall = mean(rows.map((row) => row.fall));
  const heat = mean(rows.map((row) => row.heat));
  const doubt = Math.hypot(test.probe / Math.sqrt(rows.length), scatter(rows.map((row) => row.fall)));
  const at = (drop: number, share: number) => Math.min(perfect, (share * heat) / Math.max(1e-6, drop));
  const likely = at(Math.max(fall, doubt / 2), 1);
  return {
    low: Math.min(likely, at(fall + ninetyDeviate * doubt, 0.8)),
    likely,
    high: Math.max(likely, at(Math.max(fall - ninetyDeviate * doubt, 0), 1.2)),
    spread: 'log-normal',
    kind: 'measured',
  };
}

/** Short-circuit current of a small solar cell held square to the sun, bare and behind the pane; any unit. */
export interface PaneReading {
  bare: number;
  behind: number;
}

/** Share by which a silicon cell may err about the whole of the sun behind a pane: judgement, it sees less of the infrared. */
const cellError = 0.015;

/** Transmittance of a pane, square on, from a small cell's current with and without it. Nothing without a good reading. */
export function paneFromTest(readings: readonly PaneReading[]): Range | undefined {
  const shares = readings
    .filter(({ bare, behind }) => bare > 0 && behind > 0 && behind <= bare)
    .map((one) => one.behind / one.bare);
  if (shares.length === 0) return undefined;
  const likely = mean(shares);
  const spread = ninetyDeviate * Math.hypot(cellError, scatter(shares));
  return {
    low: Math.max(0.05, likely - spread),
    likely,
    high: Math.min(1, likely + spread),
    spread: 'normal',
    kind: 'measured',
  };
}

/** A piece of plate on a scale. SI. */
export interface PlateWeighing {
  mass: number;
  length: number;
  width: number;
  density: number;
  /** kg. Smallest step of the scale. */
  resolution: number;
}

/** m. Thickness of a plate by its weight, with what scale and tape leave open. Nothing for sizes that are not above 0. */
export function thicknessByWeight(weighing: PlateWeighing): Range | undefined {
  const { mass, length, width, density, resolution } = weighing;
  if (!(mass > 0 && length > 0 && width > 0 && density > 0)) return undefined;
  const likely = mass / (density * length * width);
  const tape = 0.0005;
  const share = ninetyDeviate * Math.hypot(resolution / 2 / mass, tape / length, tape / width, 0.005);
  return { low: likely * (1 - share), likely, high: likely * (1 + share), spread: 'normal', kind: 'measured' };
}
