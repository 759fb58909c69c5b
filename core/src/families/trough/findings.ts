import { type Finding, finding, type Words } from '../../care';
import { bestHeight, sectionOptics } from '../../thermal';
import type { Orientation } from '../family';
import type { TroughLayout } from './layout';
import { fieldRange } from './parameters';
import { likelyMirror } from './thermal';

const up = (metres: number) => Math.ceil(metres * 1000 - 1e-6) / 1000;
const down = (metres: number) => Math.floor(metres * 1000 + 1e-6) / 1000;

/** m of air between the black pipe and the mirror, and between it and the plane of the edges. */
const clear = 0.003;
/** Share of the best that a height may lose before it is told. */
const steep = 0.95;
/** m of wood left under a seat. */
const leastUnder = 0.035;
/** Degrees off the equator from which hours are lost. Judgement. */
const offAim = 15;

/** m. Best height of the pipe, as it can be built: clear of mirror and edges. */
export function buildableHeight({ section, depth }: TroughLayout): number {
  const best = bestHeight(section, likelyMirror);
  const low = section.pipe / 2 + clear;
  const high = depth - section.pipe / 2 - clear;
  return Math.round(Math.max(low, Math.min(high, best)) * 1000) / 1000;
}

/** What the pipe takes up of a beam square on at a height, over what its paint does. */
export function takenAt({ section }: TroughLayout, height: number): number {
  return sectionOptics({ ...section, height }).taken(0, likelyMirror);
}

/**
 * Clashes, dangers and cautions of a bank of troughs.
 *
 * @param at.hottest °C of a pipe in full sun with nothing drawn
 */
export function troughFindings(
  path: string,
  layout: TroughLayout,
  at: { hottest: number },
  standing?: Orientation,
): Finding[] {
  const { parameters, section, depth, pipe, receiver, bearer, seat } = layout;
  const field = (name: string) => `${path}.parameters.${name}`;
  const found: Finding[] = [];
  const clash = (code: string, name: string, values: Finding['values'], fix?: Finding['fix']) =>
    found.push(finding.clash(code, field(name), values, { ...(fix === undefined ? {} : { fix }) }));
  const low = section.pipe / 2 + clear;
  const high = depth - section.pipe / 2 - clear;
  if (low > high) clash('pipe-fills-trough', 'receiver', { pipe: section.pipe, depth });
  else if (section.height < low - 1e-9)
    clash('pipe-meets-mirror', 'height', { height: section.height, least: low }, up(low));
  else if (section.height > high + 1e-9)
    clash('pipe-over-edges', 'height', { height: section.height, most: high }, down(high));
  else {
    const best = buildableHeight(layout);
    const share = takenAt(layout, section.height) / takenAt(layout, best);
    if (share < steep)
      found.push(
        finding.caution(
          'pipe-off-focus',
          field('height'),
          { height: section.height, best, lost: 1 - share },
          { fix: best },
        ),
      );
  }
  const longest = Math.max(...pipe.lengths);
  if (parameters.length > longest)
    clash('trough-too-long', 'length', { length: parameters.length, most: longest }, longest);
  const tubes = Math.max(...receiver.lengths);
  if (layout.receiverLength > tubes)
    clash(
      'black-pipe-too-long',
      'length',
      { length: layout.receiverLength, most: tubes },
      down(parameters.length - (layout.receiverLength - tubes)),
    );
  if (bearer.width - seat < leastUnder - 1e-9)
    clash('bearer-too-low', 'bearer', { bearer: bearer.width, seat, least: leastUnder });
  const boards = Math.max(...bearer.lengths);
  if (layout.bearerLength > boards + 1e-9) {
    const fits = parameters.troughs - Math.ceil((layout.bearerLength - boards) / layout.pitch - 1e-9);
    clash(
      'bearer-too-long',
      'troughs',
      { length: layout.bearerLength, most: boards },
      fits >= fieldRange('troughs').low ? fits : undefined,
    );
  }
  found.push(
    finding.caution('concentrated-light', field('height'), {
      times: layout.opening / section.pipe,
      hottest: at.hottest,
    }),
  );
  const sun = standing?.sun;
  if (sun) {
    const equator = sun.latitude >= 0 ? 180 : 0;
    const off = Math.abs(((sun.aim - equator + 540) % 360) - 180);
    if (off > offAim) found.push(finding.caution('trough-off-aim', 'site.standing.aim', { off }));
  }
  return found;
}

export const troughWords: Record<string, Words> = {
  'pipe-fills-trough': (values, say) => ({
    headline: 'pipe too thick for its trough',
    detail: `A pipe of ${say.length(values.number('pipe'))} has no room in a trough ${say.length(values.number('depth'))} deep.`,
    remedy: 'Take a thinner pipe or a wider trough.',
  }),
  'pipe-meets-mirror': (values, say) => ({
    headline: 'pipe lies on the mirror',
    detail: `Its middle is ${say.length(values.number('height'))} over the mirror; clear of it takes ${say.length(values.number('least'))}.`,
    remedy: 'Lift the pipe.',
  }),
  'pipe-over-edges': (values, say) => ({
    headline: 'pipe stands over the edges',
    detail: `Its middle is ${say.length(values.number('height'))} over the mirror; a cap holds it up to ${say.length(values.number('most'))}.`,
    remedy: 'Lower the pipe.',
  }),
  'pipe-off-focus': (values, say) => ({
    headline: 'pipe is not where the light goes',
    detail: `At ${say.length(values.number('height'))} it takes up ${Math.round(100 * values.number('lost'))} % less than at ${say.length(values.number('best'))}: light from the edges of a round mirror crosses far below half its radius.`,
    remedy: 'Set it where most rays meet it.',
  }),
  'trough-too-long': (values, say) => ({
    headline: 'trough longer than pipe is sold',
    detail: `${say.length(values.number('length'))} is asked for; it is sold in ${say.length(values.number('most'))}.`,
    remedy: 'Take shorter troughs, or more of them.',
  }),
  'black-pipe-too-long': (values, say) => ({
    headline: 'black pipe longer than tube is sold',
    detail: `It is ${say.length(values.number('length'))} with its ends; tube is sold in ${say.length(values.number('most'))}.`,
    remedy: 'Take shorter troughs.',
  }),
  'bearer-too-low': (values, say) => ({
    headline: 'seat cuts the bearer through',
    detail: `A seat of ${say.length(values.number('seat'))} in a board of ${say.length(values.number('bearer'))} leaves less than ${say.length(values.number('least'))}.`,
    remedy: 'Take a higher board, or a thinner pipe to rip.',
  }),
  'bearer-too-long': (values, say) => ({
    headline: 'bearer longer than boards are sold',
    detail: `It is ${say.length(values.number('length'))}; boards go to ${say.length(values.number('most'))}.`,
    remedy: 'Take fewer or narrower troughs, or build two banks.',
  }),
  'concentrated-light': (values, say) => ({
    headline: 'concentrated light: eyes and burns',
    detail: `Its opening is ${Math.round(10 * values.number('times')) / 10} times as wide as its pipe. Orientation in full sun with nothing drawn the pipe reaches ${say.quantity('temperature', values.number('hottest'), 0)}, and a mirror that is turned throws that light elsewhere.`,
    remedy:
      'Cover the troughs whenever no water flows and while you work. Dark glasses, nobody’s face before the opening, nothing that burns in front or under it.',
  }),
  'trough-off-aim': (values, say) => ({
    headline: 'troughs do not lie east to west',
    detail: `They are turned ${say.quantity('angle', values.number('off'), 0)} off: the sun then leaves the pipe in the course of the day.`,
    remedy: 'Aim them at the equator, so that the sun moves along them.',
  }),
};
