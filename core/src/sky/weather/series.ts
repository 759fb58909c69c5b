/** What a weather series can hold. Means over each interval: W/m² on the flat or square to the sun, °C, m/s at 10 m, share. */
export const weatherQuantities = ['global', 'beamNormal', 'diffuse', 'air', 'dewPoint', 'wind', 'cloud'] as const;
export type WeatherQuantity = (typeof weatherQuantities)[number];

export interface WeatherSite {
  latitude: number;
  longitude: number;
  elevation: number;
  /** IANA zone of the site. */
  zone: string;
}

/** Weather on an even grid. A value that is not known is NaN. */
export interface WeatherSeries {
  /** ms since 1970. Beginning of the first interval. */
  start: number;
  /** s. Length of an interval. */
  step: number;
  length: number;
  columns: Partial<Record<WeatherQuantity, Float32Array>>;
}

/** Where a kept number lies: value = offset + kept × grain. Finer than any instrument, and two bytes instead of four. */
const grains: Record<WeatherQuantity, { grain: number; low: number; high: number }> = {
  global: { grain: 0.05, low: 0, high: 1600 },
  beamNormal: { grain: 0.05, low: 0, high: 1500 },
  diffuse: { grain: 0.05, low: 0, high: 1500 },
  air: { grain: 0.01, low: -90, high: 65 },
  dewPoint: { grain: 0.01, low: -100, high: 50 },
  wind: { grain: 0.01, low: 0, high: 120 },
  cloud: { grain: 0.001, low: 0, high: 1 },
};

/** What is believable of a quantity, SI. */
export function believable(quantity: WeatherQuantity): { low: number; high: number } {
  const { low, high } = grains[quantity];
  return { low, high };
}

/** The longest series that is kept: eleven years of ten-minute values. */
export const longestSeries = 11 * 366 * 144;
const magic = 0x4e505731;
const missing = -32768;
const headBytes = 24;

/** Bytes that do not hold a weather series: cut short, or not ours. */
export class BrokenSeries extends Error {
  constructor(readonly reason: string) {
    super(`not a weather series: ${reason}`);
    this.name = 'BrokenSeries';
  }
}

/**
 * A series as bytes: a head of 24, then two bytes a value, quantity by quantity; little-endian. Values are held within
 * what is believable.
 */
export function encodeSeries(series: WeatherSeries): Uint8Array<ArrayBuffer> {
  const held = weatherQuantities.filter((quantity) => series.columns[quantity]);
  const bytes = new Uint8Array(headBytes + held.length * series.length * 2);
  const view = new DataView(bytes.buffer);
  view.setUint32(0, magic, true);
  view.setUint32(4, series.step, true);
  view.setFloat64(8, series.start, true);
  view.setUint32(16, series.length, true);
  view.setUint32(
    20,
    held.reduce((bits, quantity) => bits | (1 << weatherQuantities.indexOf(quantity)), 0),
    true,
  );
  let at = headBytes;
  for (const quantity of held) {
    const values = series.columns[quantity];
    const { grain, low, high } = grains[quantity];
    for (let index = 0; index < series.length; index += 1) {
      const value = values?.[index] ?? Number.NaN;
      const kept = Number.isNaN(value) ? missing : Math.round(Math.min(high, Math.max(low, value)) / grain);
      view.setInt16(at, kept, true);
      at += 2;
    }
  }
  return bytes;
}

/** Back from bytes. Throws BrokenSeries on anything that is not a whole, believable series. */
export function decodeSeries(bytes: Uint8Array): WeatherSeries {
  if (bytes.byteLength < headBytes) throw new BrokenSeries('cut short');
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  if (view.getUint32(0, true) !== magic) throw new BrokenSeries('it does not begin like one');
  const step = view.getUint32(4, true);
  const start = view.getFloat64(8, true);
  const length = view.getUint32(16, true);
  const bits = view.getUint32(20, true);
  if (step < 60 || step > 3600 || 3600 % step !== 0) throw new BrokenSeries('its interval does not divide the hour');
  if (!(Math.abs(start) < 8e12)) throw new BrokenSeries('it begins at no time');
  if (length < 1 || length > longestSeries) throw new BrokenSeries('it is too long or empty');
  const held = weatherQuantities.filter((_, index) => bits & (1 << index));
  if (bits >> weatherQuantities.length || held.length === 0) throw new BrokenSeries('it holds nothing known');
  if (bytes.byteLength !== headBytes + held.length * length * 2) throw new BrokenSeries('cut short or too long');
  const columns: WeatherSeries['columns'] = {};
  let at = headBytes;
  for (const quantity of held) {
    const { grain, low, high } = grains[quantity];
    const values = new Float32Array(length);
    for (let index = 0; index < length; index += 1) {
      const kept = view.getInt16(at, true);
      const value = kept === missing ? Number.NaN : kept * grain;
      if (value < low - grain || value > high + grain)
        throw new BrokenSeries(`${quantity} of ${value} is not believable`);
      values[index] = value;
      at += 2;
    }
    columns[quantity] = values;
  }
  return { start, step, length, columns };
}

/** ms. Middle of an interval. */
export function middleOf(series: WeatherSeries, index: number): number {
  return series.start + (index + 0.5) * series.step * 1000;
}
