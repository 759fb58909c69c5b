import { type Finding, finding, type Words } from '../../care';
import { entries } from '../../catalogue';
import { glazingWords } from '../../glazings';
import { paneRange, type SpiralLayout } from './layout';
import { fieldRange } from './parameters';

const up = (metres: number) => Math.ceil(metres * 1000 - 1e-6) / 1000;

/** m. A tray side that is narrower holds no screw. */
const leastSide = 0.03;

/** °C and seconds: water that burns skin through in five seconds. Moritz and Henriques (1947). */
const scalding = 60;

/**
 * Clashes and cautions of a spiral.
 *
 * @param standing °C of its water after hours in full sun
 */
export function spiralFindings(path: string, layout: SpiralLayout, standing: number): Finding[] {
  const { parameters, hose, side, tray, glazing, slat, bearer } = layout;
  const at = (name: string) => `${path}.parameters.${name}`;
  const found: Finding[] = [];
  const clash = (code: string, name: string, values: Finding['values'], fix?: Finding['fix']) =>
    found.push(
      finding.clash(code, at(name), values, {
        at: { x: side / 2, y: side / 2 },
        ...(fix === undefined ? {} : { fix }),
      }),
    );
  if (parameters.pitch < hose.outerDiameter - 1e-9)
    clash('windings-overlap', 'pitch', { pitch: parameters.pitch, hose: hose.outerDiameter }, up(hose.outerDiameter));
  const least = 2 * hose.bendOver * hose.outerDiameter;
  if (parameters.inner < least - 1e-9) {
    const fix = up(least);
    clash(
      'hose-kinks',
      'inner',
      { inner: parameters.inner, least, hose: hose.name, over: hose.bendOver },
      fix <= fieldRange('inner').high ? fix : undefined,
    );
  }
  // The longest board and pane that are sold set the most that the base may be.
  const boards = [slat, bearer].flatMap(({ lengths }) => [Math.max(...lengths)]);
  const most = tray ? Math.min(...boards, paneRange.high, sheetSide(tray.back)) : Math.min(...boards);
  if (side > most + 1e-9) {
    const rounds = fittingRounds(layout, most);
    clash('base-too-large', 'rounds', { side, most }, rounds >= fieldRange('rounds').low ? rounds : undefined);
  }
  if (tray && side < paneRange.low) clash('base-too-small', 'rounds', { side, least: paneRange.low });
  if (tray && tray.rise > tray.sideBoard.width + 1e-9) {
    const [wider] = entries('timber')
      .filter(
        (one) =>
          one.tape === tray.sideBoard.tape &&
          one.thickness === tray.sideBoard.thickness &&
          one.width > 0.06 &&
          one.width >= tray.rise - 1e-9,
      )
      .sort((a, b) => a.width - b.width);
    clash('tray-side-too-low', 'sideBoard', { board: tray.sideBoard.width, needed: tray.rise }, wider?.id);
  }
  if (tray && tray.rise < leastSide - 1e-9)
    clash(
      'tray-side-too-thin',
      'airGap',
      { rise: tray.rise, least: leastSide },
      up(parameters.airGap + leastSide - tray.rise),
    );
  found.push(...glazing.findings(path, parameters.airGap));
  if (standing >= scalding)
    found.push(finding.caution('first-litre-scalds', at('cover'), { standing, volume: layout.volume }));
  return found;
}

/** m. The side of the largest square that two halves of a sheet make. */
function sheetSide(back: { width: number; height: number }): number {
  const [short, long] = [Math.min(back.width, back.height), Math.max(back.width, back.height)];
  return Math.min(long, 2 * short);
}

/** Turns with which the base is no larger than so much. */
function fittingRounds({ parameters, side }: SpiralLayout, most: number): number {
  const step = 2 * parameters.starts * parameters.pitch;
  return Math.floor(parameters.rounds - (side - most) / step + 1e-9);
}

export const spiralWords: Record<string, Words> = {
  ...glazingWords,
  'windings-overlap': (values, say) => ({
    headline: 'windings lie on each other',
    detail: `A hose of ${say.length(values.number('hose'))} every ${say.length(values.number('pitch'))} lies half on its neighbour: what is covered gets no sun, and the pile slides.`,
    remedy: 'At the least as far apart as the hose is wide.',
  }),
  'hose-kinks': (values, say) => ({
    headline: 'the hose kinks in the middle',
    detail: `${values.text('hose')} bends over ${values.number('over')} times its outside, a hole of ${say.length(values.number('least'))}; the innermost turn has ${say.length(values.number('inner'))}.`,
    remedy: 'Leave a larger hole, or wind a thinner or softer hose.',
  }),
  'base-too-large': (values, say) => ({
    headline: 'base larger than its stock',
    detail: `The base is ${say.length(values.number('side'))} on a side; boards, sheets and panes go to ${say.length(values.number('most'))}.`,
    remedy: 'Take fewer turns, and more spirals alike.',
  }),
  'base-too-small': (values, say) => ({
    headline: 'no pane is sold so small',
    detail: `The base is ${say.length(values.number('side'))} on a side; panes begin at ${say.length(values.number('least'))}.`,
    remedy: 'Take more turns, or leave it bare.',
  }),
  'tray-side-too-low': (values, say) => ({
    headline: 'side lower than what it holds',
    detail: `Hose and air are ${say.length(values.number('needed'))} high; the side board is ${say.length(values.number('board'))}.`,
    remedy: 'Take a wider side board, or less air under the cover.',
  }),
  'tray-side-too-thin': (values, say) => ({
    headline: 'sides too low to hold a screw',
    detail: `They come to ${say.length(values.number('rise'))}; ${say.length(values.number('least'))} is the least.`,
    remedy: 'Leave more air under the cover.',
  }),
  'first-litre-scalds': (values, say) => ({
    headline: 'the first water scalds',
    detail: `After an hour or two in full sun the ${say.quantity('volume', values.number('volume'), 0)} in the hose stand at ${say.quantity('temperature', values.number('standing'), 0)}: at ${say.quantity('temperature', 60, 0)} skin burns in 5 seconds, a child's in half of that.`,
    remedy:
      'Let it run into a bucket first and measure it by a thermometer; a mixing valve before any shower. Your local code stands above this.',
  }),
};
