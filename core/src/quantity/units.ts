/**
 * The units North Pane reads and writes. Factors are exact by definition unless said otherwise;
 * source: NIST Special Publication 811 (2008), appendix B.
 */

/** Which tape is in hand. A view setting and the habit of the shop; storage is always SI. */
export type Habit = 'metric' | 'imperial';

export const quantityKinds = [
  'length',
  'height',
  'area',
  'volume',
  'mass',
  'temperature',
  'temperatureDifference',
  'flow',
  'pressure',
  'stress',
  'energy',
  'power',
  'irradiance',
  'insolation',
  'heatLoss',
  'speed',
  'duration',
  'angle',
] as const;
export type QuantityKind = (typeof quantityKinds)[number];

export interface Unit {
  /** What is written after the number. */
  symbol: string;
  /** What people type for it, lower case, besides the symbol. */
  names: readonly string[];
  /** SI value = (typed + offset) * factor. */
  factor: number;
  offset?: number;
}

interface KindDefinition {
  units: readonly Unit[];
  /** Symbol of the unit that a bare number means and that is written, with its usual decimals. */
  metric: { symbol: string; digits: number };
  imperial: { symbol: string; digits: number };
}

/** m. */
export const inch = 0.0254;
export const foot = 0.3048;
const gallon = 231 * inch ** 3;
const pound = 0.45359237;
/** International table Btu, J. */
const btu = 1055.05585262;
export const psi = (pound * 9.80665) / inch ** 2;

export const definitions: Record<QuantityKind, KindDefinition> = {
  length: {
    units: [
      { symbol: 'mm', names: ['millimetre', 'millimetres', 'millimeter', 'millimeters'], factor: 0.001 },
      { symbol: 'cm', names: ['centimetre', 'centimetres', 'centimeter', 'centimeters'], factor: 0.01 },
      { symbol: 'm', names: ['metre', 'metres', 'meter', 'meters'], factor: 1 },
      { symbol: 'ft', names: ["'", '′', '’', 'foot', 'feet'], factor: foot },
      { symbol: 'in', names: ['"', '″', '”', "''", '’’', 'inch', 'inches'], factor: inch },
    ],
    metric: { symbol: 'mm', digits: 0 },
    imperial: { symbol: 'in', digits: 3 },
  },
  /** Height above the sea, distances on the ground. */
  height: {
    units: [
      { symbol: 'm', names: ['metre', 'metres', 'meter', 'meters'], factor: 1 },
      { symbol: 'ft', names: ["'", '′', 'foot', 'feet'], factor: foot },
    ],
    metric: { symbol: 'm', digits: 0 },
    imperial: { symbol: 'ft', digits: 0 },
  },
  area: {
    units: [
      { symbol: 'm²', names: ['m2', 'sqm', 'sq m'], factor: 1 },
      { symbol: 'ft²', names: ['ft2', 'sqft', 'sq ft'], factor: foot ** 2 },
    ],
    metric: { symbol: 'm²', digits: 2 },
    imperial: { symbol: 'ft²', digits: 1 },
  },
  volume: {
    units: [
      { symbol: 'L', names: ['l', 'litre', 'litres', 'liter', 'liters'], factor: 0.001 },
      { symbol: 'mL', names: ['ml', 'cc'], factor: 1e-6 },
      { symbol: 'm³', names: ['m3'], factor: 1 },
      { symbol: 'gal', names: ['gallon', 'gallons', 'us gal'], factor: gallon },
      { symbol: 'qt', names: ['quart', 'quarts'], factor: gallon / 4 },
    ],
    metric: { symbol: 'L', digits: 1 },
    imperial: { symbol: 'gal', digits: 2 },
  },
  mass: {
    units: [
      { symbol: 'kg', names: ['kilo', 'kilos'], factor: 1 },
      { symbol: 'g', names: ['gram', 'grams'], factor: 0.001 },
      { symbol: 'lb', names: ['lbs', 'pound', 'pounds'], factor: pound },
    ],
    metric: { symbol: 'kg', digits: 1 },
    imperial: { symbol: 'lb', digits: 0 },
  },
  temperature: {
    units: [
      { symbol: '°C', names: ['c', 'degc', 'celsius', '° c'], factor: 1 },
      { symbol: '°F', names: ['f', 'degf', 'fahrenheit', '° f'], factor: 5 / 9, offset: -32 },
    ],
    metric: { symbol: '°C', digits: 1 },
    imperial: { symbol: '°F', digits: 1 },
  },
  temperatureDifference: {
    units: [
      { symbol: 'K', names: ['k', 'c', '°c', 'degc'], factor: 1 },
      { symbol: '°F', names: ['f', 'f°', 'degf'], factor: 5 / 9 },
    ],
    metric: { symbol: 'K', digits: 1 },
    imperial: { symbol: '°F', digits: 1 },
  },
  flow: {
    units: [
      { symbol: 'L/min', names: ['l/min', 'lpm'], factor: 0.001 / 60 },
      { symbol: 'L/h', names: ['l/h', 'lph'], factor: 0.001 / 3600 },
      { symbol: 'L/s', names: ['l/s'], factor: 0.001 },
      { symbol: 'gpm', names: ['gal/min'], factor: gallon / 60 },
    ],
    metric: { symbol: 'L/min', digits: 1 },
    imperial: { symbol: 'gpm', digits: 2 },
  },
  pressure: {
    units: [
      { symbol: 'kPa', names: ['kpa'], factor: 1000 },
      { symbol: 'Pa', names: ['pa'], factor: 1 },
      { symbol: 'bar', names: [], factor: 1e5 },
      { symbol: 'psi', names: [], factor: psi },
      // Conventional inch of water, for what a panel drops.
      { symbol: 'inH₂O', names: ['inh2o', 'in h2o'], factor: 249.08891 },
    ],
    metric: { symbol: 'kPa', digits: 2 },
    imperial: { symbol: 'psi', digits: 3 },
  },
  stress: {
    units: [
      { symbol: 'MPa', names: ['mpa', 'N/mm²'], factor: 1e6 },
      { symbol: 'psi', names: [], factor: psi },
    ],
    metric: { symbol: 'MPa', digits: 1 },
    imperial: { symbol: 'psi', digits: 0 },
  },
  energy: {
    units: [
      { symbol: 'kWh', names: ['kwh'], factor: 3.6e6 },
      { symbol: 'MJ', names: ['mj'], factor: 1e6 },
      { symbol: 'Btu', names: ['btu'], factor: btu },
    ],
    metric: { symbol: 'kWh', digits: 2 },
    imperial: { symbol: 'Btu', digits: 0 },
  },
  power: {
    units: [
      { symbol: 'W', names: ['w', 'watt', 'watts'], factor: 1 },
      { symbol: 'kW', names: ['kw'], factor: 1000 },
      { symbol: 'Btu/h', names: ['btu/h', 'btuh', 'btu/hr'], factor: btu / 3600 },
    ],
    metric: { symbol: 'W', digits: 0 },
    imperial: { symbol: 'Btu/h', digits: 0 },
  },
  irradiance: {
    units: [
      { symbol: 'W/m²', names: ['w/m2', 'w', 'wm2'], factor: 1 },
      { symbol: 'Btu/h·ft²', names: ['btu/h ft2', 'btu/hft2', 'btu/h·ft2'], factor: btu / 3600 / foot ** 2 },
    ],
    metric: { symbol: 'W/m²', digits: 0 },
    imperial: { symbol: 'Btu/h·ft²', digits: 0 },
  },
  /** Sun on a square metre over a day, a month or a year. */
  insolation: {
    units: [
      { symbol: 'kWh/m²', names: ['kwh/m2', 'kwh'], factor: 3.6e6 },
      { symbol: 'MJ/m²', names: ['mj/m2', 'mj'], factor: 1e6 },
      { symbol: 'Btu/ft²', names: ['btu/ft2', 'btu'], factor: btu / foot ** 2 },
    ],
    metric: { symbol: 'kWh/m²', digits: 1 },
    imperial: { symbol: 'Btu/ft²', digits: 0 },
  },
  heatLoss: {
    units: [
      { symbol: 'W/m²K', names: ['w/m2k', 'w/(m2k)'], factor: 1 },
      {
        symbol: 'Btu/h·ft²·°F',
        names: ['btu/h ft2 f', 'btu/h·ft2·f'],
        factor: btu / 3600 / foot ** 2 / (5 / 9),
      },
    ],
    metric: { symbol: 'W/m²K', digits: 2 },
    imperial: { symbol: 'Btu/h·ft²·°F', digits: 2 },
  },
  speed: {
    units: [
      { symbol: 'm/s', names: ['m/s', 'mps'], factor: 1 },
      { symbol: 'km/h', names: ['kmh', 'kph'], factor: 1 / 3.6 },
      { symbol: 'mph', names: [], factor: (5280 * foot) / 3600 },
    ],
    metric: { symbol: 'm/s', digits: 1 },
    imperial: { symbol: 'mph', digits: 1 },
  },
  duration: {
    units: [
      { symbol: 's', names: ['sec', 'second', 'seconds'], factor: 1 },
      { symbol: 'min', names: ['minute', 'minutes'], factor: 60 },
      { symbol: 'h', names: ['hr', 'hour', 'hours'], factor: 3600 },
    ],
    metric: { symbol: 's', digits: 0 },
    imperial: { symbol: 's', digits: 0 },
  },
  angle: {
    units: [{ symbol: '°', names: ['deg', 'degree', 'degrees'], factor: 1 }],
    metric: { symbol: '°', digits: 0 },
    imperial: { symbol: '°', digits: 0 },
  },
};

/** The unit of that kind written with that symbol. Throws RangeError when there is none: a fault of the program. */
export function unitOf(kind: QuantityKind, symbol: string): Unit {
  const unit = definitions[kind].units.find((candidate) => candidate.symbol === symbol);
  if (!unit) throw new RangeError(`no unit ${symbol} among the units of ${kind}`);
  return unit;
}

/** The unit a bare number means in that habit, for instance mm for a metric length. */
export function habitUnit(kind: QuantityKind, habit: Habit): Unit {
  return unitOf(kind, definitions[kind][habit].symbol);
}

/** SI value (°C for temperatures) of a number written in that unit. */
export function toSI(number: number, unit: Unit): number {
  return (number + (unit.offset ?? 0)) * unit.factor;
}

/** Number to write in that unit for an SI value. */
export function fromSI(value: number, unit: Unit): number {
  return value / unit.factor - (unit.offset ?? 0);
}

/** m. One mark of the tape in hand: a millimetre, or a sixteenth of an inch. */
export function tapeMark(habit: Habit): number {
  return habit === 'metric' ? 0.001 : inch / 16;
}

/**
 * The length `marks` tape marks away, on the tape's own grid, so that a nudge always lands on a mark.
 * A first nudge from between two marks goes to the next mark in that direction.
 */
export function nudgeLength(value: number, habit: Habit, marks: number): number {
  const mark = tapeMark(habit);
  const position = value / mark;
  const near = Math.round(position);
  const onMark = Math.abs(position - near) < 1e-6;
  const start = onMark ? near : marks > 0 ? Math.floor(position) : Math.ceil(position);
  return fixed((start + marks) * mark);
}

/** The nearest tape mark. */
export function toTapeMark(value: number, habit: Habit): number {
  const mark = tapeMark(habit);
  return fixed(Math.round(value / mark) * mark);
}

/** Removes the binary tail of a sum of marks (0.10400000000000001), to a hundredth of a micrometre. */
function fixed(value: number): number {
  return Math.round(value * 1e8) / 1e8;
}

/** Symbols of all units of a kind, the metric habit's first. */
export function unitSymbols(kind: QuantityKind): string[] {
  const first = definitions[kind].metric.symbol;
  return [first, ...definitions[kind].units.map((unit) => unit.symbol).filter((symbol) => symbol !== first)];
}
