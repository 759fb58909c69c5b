const hour = 3600;
const day = 24 * hour;

/** Seconds of drying in words: whole days, else hours. */
export function waitWords(seconds: number): string {
  const [count, unit] = seconds >= day ? [seconds / day, 'day'] : [seconds / hour, 'hour'];
  const whole = Math.max(1, Math.round(count));
  return `${whole} ${unit}${whole === 1 ? '' : 's'}`;
}
