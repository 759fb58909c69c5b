import type { Finding, Words } from '../care';
import type { Pane } from '../catalogue';
import { gravity } from '../quantity';
import { bears, bending, designLoad } from './strength';

/** m. Side of the T bars that hold a pane up, and the least room over the plate they need. */
export const barSize = 0.02;
const barRoom = 0.023;
/** m. What a bent pane must keep off the plate. */
const offPlate = 0.003;
/** m. Widest field of a film, and of a thin flat sheet, that stays off the plate. Judgement. */
const widestField: Partial<Record<Pane['kind'], number>> = { film: 0.5, fibreglass: 0.42 };
/** Bars beyond which another pane is the better answer. */
const mostBars = 5;

interface Seen {
  pane: Pane;
  length: number;
  width: number;
  bars: number;
  /** m. Plate to pane. */
  gap: number;
  path: string;
}

/** Whether a pane with so many bars holds its load and stays off the plate. */
function holds({ pane, length, width, gap }: Seen, bars: number): boolean {
  const field = widestField[pane.kind];
  if (field !== undefined) return Math.min(width, length / (bars + 1)) <= field;
  const load = designLoad + gravity * pane.weight;
  const bent = bending({ pane, length, width, bars, load });
  const limit = bears(pane);
  return !bent || !limit || (bent.stress <= limit && bent.deflection <= gap - offPlate);
}

/** What is to be looked at in a pane: how it bends, how it breaks, what must be measured of it. */
export function paneFindings(seen: Seen): Finding[] {
  const { pane, length, width, bars, gap, path } = seen;
  const found: Finding[] = [];
  const at = (field: string) => `${path}.glazing.parameters.${field}`;
  if (!holds(seen, bars)) {
    const load = designLoad + gravity * pane.weight;
    const field = widestField[pane.kind];
    const bent = field === undefined ? bending({ pane, length, width, bars, load }) : undefined;
    const enough = Array.from({ length: mostBars + 1 }, (_, count) => count).find(
      (count) => count > bars && holds(seen, count),
    );
    found.push({
      code: bent ? 'pane-bends' : 'film-loose',
      severity: 'caution',
      path: at('bars'),
      values: bent
        ? { name: pane.name, deflection: bent.deflection, stress: bent.stress, bears: bears(pane) ?? 0, gap }
        : { name: pane.name, field: Math.min(width, length / (bars + 1)), most: field ?? 0 },
      ...(enough === undefined ? {} : { fix: enough }),
    });
  }
  if (bars > 0 && gap < barRoom - 1e-9)
    found.push({
      code: 'bars-meet-plate',
      severity: 'clash',
      path: `${path}.parameters.airGap`,
      values: { gap, least: barRoom },
      fix: barRoom,
    });
  if (pane.kind === 'annealed')
    found.push({ code: 'annealed-cracks', severity: 'caution', path: at('pane'), values: { name: pane.name } });
  if (pane.kind === 'sealed-unit')
    found.push({
      code: 'salvaged-unmeasured',
      severity: 'note',
      path: at('pane'),
      values: { low: pane.transmittance.low, high: pane.transmittance.high },
    });
  return found;
}

export const glazingWords: Record<string, Words> = {
  'pane-bends': (values, say) => ({
    headline: 'pane bends too far',
    detail: `Under 0.75 kPa of wind or snow ${values.text('name')} bends ${say.length(values.number('deflection'))} into a gap of ${say.length(values.number('gap'))}, with ${say.quantity('pressure', values.number('stress'))} in its face; it bears ${say.quantity('pressure', values.number('bears'))} for years.`,
    remedy: 'Put a bar under it, take a thicker or a smaller pane. Your local code says what load counts.',
  }),
  'film-loose': (values, say) => ({
    headline: 'sheet spans too far',
    detail: `${values.text('name')} spans ${say.length(values.number('field'))}; beyond ${say.length(values.number('most'))} it sags onto the plate when it is hot.`,
    remedy: 'Put more bars under it.',
  }),
  'bars-meet-plate': (values, say) => ({
    headline: 'bars meet the plate',
    detail: `The bars under the pane need ${say.length(values.number('least'))} over the plate; the air gap is ${say.length(values.number('gap'))}.`,
    remedy: 'Widen the air gap, or take a pane that needs no bars.',
  }),
  'annealed-cracks': (values) => ({
    headline: 'annealed glass cracks by heat',
    detail: `${values.text('name')} breaks where its edge stays 40 K colder than its middle, and comes down in blades.`,
    remedy:
      'Keep the whole edge in the sun, shade none of it, let it stand free in its rebate; over a way or a door take tempered glass.',
  }),
  'salvaged-unmeasured': (values) => ({
    headline: 'measure the salvaged pane',
    detail: `Salvaged units pass from ${Math.round(100 * values.number('low'))} to ${Math.round(100 * values.number('high'))} % of the sun; tinted and low-emissivity ones look clear.`,
    remedy: 'Hold a small solar cell behind it: the pane test is in Prove, Tests by hand.',
  }),
};
