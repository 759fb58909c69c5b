import * as z from 'zod';
import { ninetyDeviate } from '../thermal';

/** What a builder can say of the sky without an instrument. */
export const skyWords = ['clear', 'thin cloud', 'broken cloud', 'overcast'] as const;
export type SkyWord = (typeof skyWords)[number];

/** Instruments, by what they are; each has its error below. */
export const thermometers = ['two digital', 'matched pair', 'glass', 'strapped on bare'] as const;
export const flowMeters = ['marked bucket', 'weighed bucket', 'meter'] as const;
export const sunMeters = ['pyranometer', 'own cell', 'phone', 'words'] as const;

/** One reading: what stood on the instruments at one moment. */
export interface Reading {
  /** Milliseconds since 1970, UTC. */
  time: number;
  /** °C. */
  inlet: number;
  /** °C. */
  outlet: number;
  /** °C. */
  air: number;
  /** m³/s. */
  flow: number;
  /** W/m² on the pane; or else `sky`. */
  irradiance?: number;
  sky?: SkyWord;
  /** m/s at the panel; a light breeze when left out. */
  wind?: number;
  /** What it was taken with, where it differs from the rest. */
  sensors?: Sensors;
}

/** What the readings were taken with. */
export const sensorsSchema = z.strictObject({
  thermometers: z.enum(thermometers),
  flow: z.enum(flowMeters),
  sun: z.enum(sunMeters),
});
export type Sensors = z.infer<typeof sensorsSchema>;

/** Standard uncertainties of a set of instruments. All three are systematic: the same instrument errs the same way. */
export interface SensorErrors {
  /** K, of outlet less inlet. */
  difference: number;
  /** Share. */
  flow: number;
  /** Share. */
  sun: number;
}

/** A spread of plus or minus `half` at nine in ten, as a standard uncertainty. */
const ninety = (half: number) => half / ninetyDeviate;

/**
 * Errors of each instrument. Judgement from the design notes: two digital thermometers ±0.7 K on the difference, matched
 * ±0.15; marked bucket ±4 %, weighed ±1 %; pyranometer ±4 %, own calibrated cell ±5 %, bare phone ±25 %.
 * Thermometers strapped on bare pipe read low by 5 to 10 % of pipe less air and are given 1.5 K here.
 */
export function sensorErrors(sensors: Sensors): SensorErrors {
  return {
    difference: ninety(
      { 'two digital': 0.7, 'matched pair': 0.15, glass: 1.4, 'strapped on bare': 1.5 }[sensors.thermometers],
    ),
    flow: ninety({ 'marked bucket': 0.04, 'weighed bucket': 0.01, meter: 0.03 }[sensors.flow]),
    sun: ninety({ pyranometer: 0.04, 'own cell': 0.05, phone: 0.25, words: 0.05 }[sensors.sun]),
  };
}

/** m/s at the panel that a look at the trees stands for, after the Beaufort scale, less the shelter near the ground. */
export const windWords = { still: 0.3, 'leaves stir': 1.5, 'branches move': 4 } as const;
export type WindWord = keyof typeof windWords;

/** Share of the clear-sky sun that each word stands for, and whether a verdict may rest on it. Judgement. */
export const skyShares: Record<SkyWord, { low: number; likely: number; high: number; judge: boolean }> = {
  clear: { low: 0.92, likely: 0.98, high: 1.03, judge: true },
  'thin cloud': { low: 0.65, likely: 0.8, high: 0.95, judge: true },
  'broken cloud': { low: 0.3, likely: 0.7, high: 1.15, judge: false },
  overcast: { low: 0.08, likely: 0.2, high: 0.35, judge: true },
};
