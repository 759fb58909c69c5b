import type { Range } from '../../catalogue';
import { type FinStep, steppedFin } from '../fin';
import { airState } from '../fluids';
import { type HandTest, mean, scatter } from '../handTests';
import { stefan } from '../radiation';
import { ninetyDeviate } from '../spread';
import type { PlateDescription } from './description';

/** K that two touches of a probe on the same spot differ by. Judgement. */
export const probeRepeatability = 0.3;
/** Long-wave emittance of a plate not yet painted: copper or aluminium, tarnished. Judgement, 0.05 bright to 0.3. */
export const bareEmittance = 0.15;

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

/** Tube and plate touched with a probe while hot water runs through the bare panel. */
export function bondTest(description: PlateDescription): HandTest {
  const { plate, tube, emittance, side } = description;
  return {
    id: 'bond',
    name: 'Bond',
    how: 'Bare panel, face up, indoors, no draught. Run water of about 60 °C through it. When nothing moves any more, touch one probe to a tube, then to the plate right beside it: a probe, never a finger, it scalds. Black paint or tape under the probe; an infrared gun on bare copper reads the ceiling.',
    asksBench: true,
    fields: [
      { name: 'tube', label: 'tube', kind: 'temperature' },
      { name: 'plate', label: 'plate beside it', kind: 'temperature' },
      { name: 'room', label: 'room', kind: 'temperature' },
    ],
    rows: 3,
    nothing: 'The tube must be at least as warm as the plate, and the plate warmer than the room.',
    settle: (rows, bench) => {
      const value = bondFromTest({
        readings: rows.map((row) => ({ tube: row.tube ?? 0, plate: row.plate ?? 0, room: row.room ?? 0 })),
        probe: probeRepeatability,
        width: plate.width,
        tubeDiameter: tube.outerDiameter,
        steps: plate.steps,
        emittance: bench.painted ? emittance.likely : bareEmittance,
        ...(bench.backOpen ? { back: bareEmittance } : {}),
        side,
      });
      return value && { value };
    },
  };
}
