import { formatNumber, formatQuantity, type Habit } from '../quantity';
import type { HiddenFault, Verdict } from './comparison';

/** A verdict in words: the figure, the judgement, and what it rests on. */
export function sayVerdict(
  verdict: Verdict,
  habit: Habit,
): { headline: string; judgement: string; basis: string; hidden?: string } {
  const kelvin = (value: number) => formatQuantity('temperatureDifference', value, habit).text;
  const bare = (value: number) => formatQuantity('temperatureDifference', value, habit).number;
  if (verdict.of === 'rise') return sayRise(verdict, habit);
  if (verdict.judgement === 'cannot tell' && verdict.reason === 'unsettled')
    return {
      headline: 'No verdict yet.',
      judgement: 'One reading alone cannot tell whether panel and sun had settled.',
      basis: 'Take another one ten minutes on, with the water still running: how far it moved is then taken off.',
    };
  if (verdict.judgement === 'cannot tell')
    return {
      headline: 'No verdict yet.',
      judgement: 'There is no reading with sun above 300 W/m², water running, and a sky that can be judged.',
      basis: 'Take one about noon under a clear sky, with the water running for a quarter of an hour.',
    };
  const times = formatNumber(Math.abs(verdict.score), 1);
  const judgement = {
    agrees: `It does what it should: the difference is ${times} times its uncertainty.`,
    hotter: `Hotter than the panel should be, by ${times} times the uncertainty. Look at the flow, the sun reading and the thermometers first.`,
    colder: `Colder than the panel should be, by ${times} times the uncertainty: more than instruments and workmanship explain.`,
  }[verdict.judgement];
  const readings = verdict.count === 1 ? 'one reading' : `${verdict.count} readings`;
  return {
    headline: `${kelvin(verdict.measured)} warmer. Expected ${bare(verdict.low)} to ${bare(verdict.high)}.`,
    judgement,
    basis: verdict.steady
      ? `Mean of ${readings} at the end of steady stretches.`
      : `Mean of ${readings}; none of them at the end of 25 steady minutes, so take it as a first look.`,
    ...(verdict.judgement === 'agrees' && verdict.hidden.length > 0 ? { hidden: sayHidden(verdict.hidden) } : {}),
  };
}

/** The same of water that stands and warms. */
function sayRise(verdict: Verdict, habit: Habit): ReturnType<typeof sayVerdict> {
  const kelvin = (value: number) => formatQuantity('temperatureDifference', value, habit).text;
  const bare = (value: number) => formatQuantity('temperatureDifference', value, habit).number;
  if (verdict.judgement === 'cannot tell')
    return {
      headline: 'No verdict yet.',
      judgement:
        'There is no warm-up to judge: two readings of water that stands, with the sun above 300 W/m² between.',
      basis:
        'Read the cold and the hot end in the morning with the lid open, and again two hours or more later, with no tap opened between.',
    };
  const times = formatNumber(Math.abs(verdict.score), 1);
  const warmUps = verdict.count === 1 ? 'one warm-up' : `${verdict.count} warm-ups`;
  return {
    headline: `${kelvin(verdict.measured)} of rise. Expected ${bare(verdict.low)} to ${bare(verdict.high)}.`,
    judgement: {
      agrees: `It does what it should: the difference is ${times} times its uncertainty.`,
      hotter: `Warmer than the tanks should be, by ${times} times the uncertainty. Look at the sun reading and the thermometers first, and at how much water is in it.`,
      colder: `Colder than the tanks should be, by ${times} times the uncertainty: more than instruments and workmanship explain. Was a tap open, or the lid shut?`,
    }[verdict.judgement],
    basis: `Mean of ${warmUps}${verdict.steady ? ' of two hours or more' : ', none as long as two hours: take it as a first look'}.`,
    ...(verdict.judgement === 'agrees' && verdict.hidden.length > 0 ? { hidden: sayHidden(verdict.hidden) } : {}),
  };
}

/** What readings were left out, in words; nothing where none were. */
export function sayLeft({ left, verdict }: { left: number; verdict: Pick<Verdict, 'of'> }): string | undefined {
  if (left === 0) return undefined;
  return verdict.of === 'rise'
    ? `${formatNumber(left)} are left out: too near to or too far from the one before, or no sun known.`
    : `${formatNumber(left)} without sun or flow are left out.`;
}

/** What a fault would have to be to look like this, each alone. */
function sayHidden(hidden: readonly HiddenFault[]): string {
  const list = hidden.map(({ words }) => words);
  const last = list.pop() ?? '';
  return `What could still hide: ${list.length > 0 ? `${list.join(', ')} or ${last}` : last} would look like this.`;
}
