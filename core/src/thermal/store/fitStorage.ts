import { evenly } from '../../quantity';
import { fitStanding, leastJudged, standingHeat, workingConditions } from '../characteristic';
import type { OperatingConditions, ThermalModel } from '../contract';
import { acceptanceSteps, type FitEffort, type Reference, type Storage } from '../laboratory';

/** What of a store's model its characteristic is fitted to. */
type Fitted = Pick<ThermalModel, 'acceptance' | 'apertureArea' | 'capacity' | 'hasLid' | 'stagnantNetHeat'> & {
  shutLoss: number;
};

/** Mixed parts of a tank from the bottom up: one that stands keeps its warm water on top, one that lies hardly does. Judgement. */
const partsOf = { upright: 3, lying: 1 } as const;
const fitted = { whole: { seed: 3, count: 500, nights: 150 }, screening: { seed: 3, count: 150, nights: 50 } } as const;
const heldBack = { seed: 77, count: 200 };

/** (τα) K_b of a table by angles across and along (degrees), straight between. */
export function beamAt({ beam }: Pick<Storage, 'beam'>, transversal: number, longitudinal: number): number {
  const between = 90 / (beam.length - 1);
  const place = (degrees: number, count: number) => {
    const at = Math.min(count - 1.001, Math.max(0, degrees / between));
    const low = Math.floor(at);
    return { low, share: at - low };
  };
  const across = place(Math.min(90, Math.abs(transversal)), beam.length);
  const along = place(Math.min(90, Math.max(-90, longitudinal)) + 90, beam[0]?.length ?? 0);
  const value = (row: number, column: number) => beam[row]?.[column] ?? 0;
  const line = (row: number) => value(row, along.low) * (1 - along.share) + value(row, along.low + 1) * along.share;
  return line(across.low) * (1 - across.share) + line(across.low + 1) * across.share;
}

/** W/m² of the sun on the aperture that a storage keeps. */
export function keptBy(storage: Pick<Storage, 'beam' | 'sky' | 'ground'>, boundary: OperatingConditions): number {
  if (boundary.covered) return 0;
  const { irradiance, beamShare, groundShare, angles, incidence } = boundary;
  const { transversal, longitudinal } = angles ?? { transversal: incidence, longitudinal: 0 };
  return (
    irradiance *
    (beamShare * beamAt(storage, transversal, longitudinal) +
      (1 - beamShare) * ((1 - groundShare) * storage.sky + groundShare * storage.ground))
  );
}

/** W that a storage gathers by the temperature (°C) of a part of its water, as if all of it stood there. */
export function storageHeat(storage: Storage, boundary: OperatingConditions): (temperature: number) => number {
  const { air } = boundary;
  if (boundary.covered) return (temperature) => storage.shutLoss * (air - temperature);
  const flux = standingHeat(storage, boundary, keptBy(storage, boundary));
  return (temperature) => storage.apertureArea * flux(temperature);
}

/** Boundaries of the working range with the beam from any side, and a temperature of the water for each. */
function conditions(model: Fitted, reference: Reference, draws: { seed: number; count: number }) {
  const draw = evenly(draws.seed + 1000);
  return workingConditions(model, reference, draws).map((boundary) => {
    const angles = { transversal: 60 * draw(), longitudinal: -50 + 100 * draw() };
    const tangent = (degrees: number) => Math.tan((degrees * Math.PI) / 180);
    const incidence =
      (Math.atan(Math.hypot(tangent(angles.transversal), tangent(angles.longitudinal))) * 180) / Math.PI;
    return { boundary: { ...boundary, incidence, angles, massFlow: 0 }, temperature: boundary.inlet };
  });
}

/**
 * Fits the characteristic of a store to what its model gathers while it stands.
 *
 * @param more.bent with the terms of pipes in the wind
 * @param more.effort how much work it is
 */
export function fitStorage(
  model: Fitted,
  tanks: { count: number; volume: number; upright: boolean },
  reference: Reference,
  { bent = false, effort = 'whole' }: { bent?: boolean; effort?: FitEffort } = {},
): Storage {
  const { acceptance, apertureArea, capacity, hasLid, shutLoss } = model;
  // What is round in one plane bends more than a pane.
  const between = acceptanceSteps[acceptance.round || hasLid ? 'pane' : 'pipes'];
  const steps = 90 / between;
  const optics = {
    beam: Array.from({ length: steps + 1 }, (_, row) =>
      Array.from({ length: 2 * steps + 1 }, (__, column) => acceptance.beam(row * between, column * between - 90)),
    ),
    sky: acceptance.sky(reference.tilt),
    ground: acceptance.ground(reference.tilt),
  };
  // By night too, without which an open pane's loss would only be guessed at.
  const drawn = conditions(model, reference, fitted[effort]);
  const nights = drawn.slice(0, fitted[effort].nights).map(({ boundary, temperature }) => ({
    boundary: { ...boundary, irradiance: 0 },
    temperature,
  }));
  const rows = [...drawn, ...nights].map(({ boundary, temperature }) => ({
    boundary,
    temperature,
    kept: keptBy(optics, boundary),
    gathered: model.stagnantNetHeat(boundary)(temperature) / apertureArea,
  }));
  const { iso, corrections } = fitStanding(rows, reference, bent);
  const storage: Storage = {
    kind: 'storage',
    apertureArea,
    reference,
    tanks: tanks.count,
    parts: partsOf[tanks.upright ? 'upright' : 'lying'],
    volume: tanks.count * tanks.volume,
    heatCapacity: capacity.dry + capacity.water,
    iso: {
      ...iso,
      kd: optics.sky / (optics.beam[0]?.[steps] || 1),
      a5: (capacity.dry + capacity.water) / apertureArea,
    },
    corrections,
    ...optics,
    hasLid,
    shutLoss,
    residual: { rms: 0, worst: 0, count: 0 },
  };
  if (effort === 'screening') return storage;
  return { ...storage, residual: storageResidual(storage, model, heldBack) };
}

/** How far a storage is from its model, as a share of what is gathered, over conditions drawn from the working range. */
export function storageResidual(
  storage: Storage,
  model: Fitted,
  draws: { seed: number; count: number },
): Storage['residual'] {
  const misses = conditions(model, storage.reference, draws).flatMap(({ boundary, temperature }) => {
    const gathered = model.stagnantNetHeat(boundary)(temperature);
    if (gathered < leastJudged * model.apertureArea) return [];
    return [Math.abs(storageHeat(storage, boundary)(temperature) / gathered - 1)];
  });
  const square = misses.reduce((sum, miss) => sum + miss ** 2, 0) / Math.max(1, misses.length);
  return { rms: Math.sqrt(square), worst: Math.max(0, ...misses), count: misses.length };
}
