import { type Habit, type Parsed, parseQuantity } from '../quantity';

/** Seconds of `3:51`, `95 s`, `1.5 min` or a bare number of seconds. */
function parseTime(text: string): Parsed {
  const clock = /^\s*(\d+):([0-5]?\d(?:[.,]\d+)?)\s*$/.exec(text);
  if (clock) return { ok: true, value: Number(clock[1]) * 60 + Number(clock[2]?.replace(',', '.')) };
  return parseQuantity('duration', text, 'metric');
}

/**
 * Reads a flow as it was measured: a rate (`2.4 L/min`, `0.6 gpm`), or a bucket and a watch (`9 L in 3:51`,
 * `2 gal in 95 s`). m³/s.
 */
export function parseFlow(text: string, habit: Habit): Parsed {
  const parted = /^(.*?)(\s+in\s+|\s*\/\s*(?=\d))(.*)$/i.exec(text);
  if (!parted) return parseQuantity('flow', text, habit);
  const [, amount = '', joint = '', time = ''] = parted;
  const volume = parseQuantity('volume', amount, habit);
  if (!volume.ok) return volume;
  const seconds = parseTime(time);
  const at = amount.length + joint.length;
  if (!seconds.ok) return { ...seconds, at: seconds.at + at };
  if (!(seconds.value > 0))
    return { ok: false, message: 'The bucket took some time to fill: write it after “in”.', at };
  return { ok: true, value: volume.value / seconds.value };
}
