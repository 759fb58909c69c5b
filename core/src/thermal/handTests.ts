import type { Range } from '../catalogue';
import { formatNumber, type QuantityKind } from '../quantity';
import { ninetyDeviate } from './spread';

/** Arithmetic mean. */
export function mean(values: readonly number[]): number {
  return values.reduce((sum, value) => sum + value, 0) / values.length;
}

/** Standard error of a mean; zero for one reading. */
export function scatter(values: readonly number[]): number {
  if (values.length < 2) return 0;
  const middle = mean(values);
  const square = values.reduce((sum, value) => sum + (value - middle) ** 2, 0) / (values.length - 1);
  return Math.sqrt(square / values.length);
}

/** kg. Smallest step of a kitchen scale. */
export const kitchenScaleStep = 0.001;

/** How the panel lies at the test: painted or bare, and whether air reaches its back. */
export interface TestBench {
  painted: boolean;
  backOpen: boolean;
}

/** A test by hand that settles an uncertain input: how it is done, what is read, and what follows. */
export interface HandTest {
  id: string;
  name: string;
  /** How it is done, in the order of the hands. */
  how: string;
  fields: readonly { name: string; label: string; kind: QuantityKind | 'number'; digits?: number }[];
  /** Rows of readings; one where a second would say nothing new. */
  rows: number;
  /** Whether it asks how the panel lies: painted or bare, its back open or not. */
  asksBench?: true;
  /** Why nothing comes of full rows. */
  nothing: string;
  /** The input's value with its spread from full rows of readings (SI, °C), and how it is shown where not as itself. Nothing when they say nothing. */
  settle(rows: readonly Readonly<Record<string, number>>[], bench: TestBench): Settled | undefined;
}

/** What a test by hand found. */
export interface Settled {
  value: Range;
  /** In words, where the value is a factor. */
  words?: string;
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

/** A pane in the sun, by a small cell with and without it. */
export const paneTest: HandTest = {
  id: 'pane',
  name: 'Pane',
  how: 'Clear noon, the pane clean. Hold a small solar cell square to the sun and read its short-circuit current; then again at once behind the pane, the pane square to the sun too.',
  fields: [
    { name: 'bare', label: 'bare, mA', kind: 'number' },
    { name: 'behind', label: 'behind the pane, mA', kind: 'number' },
  ],
  rows: 3,
  nothing: 'The current behind the pane must be above 0 and not above the bare one.',
  settle: (rows) => {
    const value = paneFromTest(rows.map(({ bare = 0, behind = 0 }) => ({ bare, behind })));
    return value && { value };
  },
};

/** A piece of the plate on a scale: how thick it is beside how thick it was drawn. m, kg/m³. */
export function plateTest(drawn: { thickness: number; density: number }): HandTest {
  return {
    id: 'plate',
    name: 'Plate',
    how: 'Cut a piece of the plate with square corners, as large as the scale takes. Measure both sides, weigh it to the gram.',
    fields: [
      { name: 'mass', label: 'weight', kind: 'mass', digits: 3 },
      { name: 'length', label: 'length', kind: 'length' },
      { name: 'width', label: 'width', kind: 'length' },
    ],
    rows: 1,
    nothing: 'Weight and both sides must be above 0.',
    settle: ([row = {}]) => {
      const { mass = 0, length = 0, width = 0 } = row;
      const found = thicknessByWeight({ mass, length, width, density: drawn.density, resolution: kitchenScaleStep });
      if (!found) return undefined;
      const share = (value: number) => value / drawn.thickness;
      return {
        value: { ...found, low: share(found.low), likely: share(found.likely), high: share(found.high) },
        words: `${formatNumber(1000 * found.likely, 2)} mm thick, drawn ${formatNumber(1000 * drawn.thickness, 2)} mm`,
      };
    },
  };
}
