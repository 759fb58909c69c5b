import { formatNumber, formatQuantity, type Habit } from '../quantity';
import type { HiddenFault, Verdict } from './comparison';

/** A verdict in words: the figure, the judgement, and what it rests on. */
export function sayVerdict(
  verdict: Verdict,
  habit: Habit,
): { headline: string; judgement: string; basis: string; hidden?: string } {
  const kelvin = (value: number) => formatQuantity('temperatureDifference', value, habit).text;
  const bare = (value: number) => formatQuantity('temperatureDifference', value, habit).number;
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
    headline: `${kelvin(verdict.measured)} of gain. Expected ${bare(verdict.low)} to ${bare(verdict.high)}.`,
    judgement,
    basis: verdict.steady
      ? `Mean of ${readings} at the end of steady stretches.`
      : `Mean of ${readings}; none of them at the end of 25 steady minutes, so take it as a first look.`,
    ...(verdict.judgement === 'agrees' && verdict.hidden.length > 0 ? { hidden: sayHidden(verdict.hidden) } : {}),
  };
}

/** What a fault would have to be to look like this, each alone. */
function sayHidden(hidden: readonly HiddenFault[]): string {
  const list = hidden.map(({ words }) => words);
  const last = list.pop() ?? '';
  return `What could still hide: ${list.length > 0 ? `${list.join(', ')} or ${last}` : last} would look like this.`;
}
