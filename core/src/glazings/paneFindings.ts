import { type Finding, finding, type Words } from '../care';
import type { Pane } from '../catalogue';
import { gravity } from '../quantity';
import { bears, bending, snowLoad, snowSlides } from './strength';

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
}

/** Pa of the site's gust on a pane, away from the plate and onto it; degrees that it leans, for the snow. */
export interface WindOnPane {
  outward: number;
  inward: number;
  tilt: number;
}

/** Where in the job its findings point: the bars where they may be chosen, else whatever chooses the pane. */
export interface PanePaths {
  pane: string;
  bars?: string;
}

interface Bent {
  what: 'gust' | 'snow';
  load: number;
  deflection: number;
  stress: number;
  bears: number;
  /** Of what it bears, own weight counted for good and the rest by how long it lies; and of the gap that it may take. */
  use: number;
}

/** What bends a pane the most, of gust out, gust in and snow; nothing for a film or a sheet that is judged by its span. */
function worstBend({ pane, length, width, gap }: Seen, bars: number, wind: WindOnPane): Bent | undefined {
  if (widestField[pane.kind] !== undefined) return undefined;
  const weight = gravity * pane.weight * Math.cos((wind.tilt * Math.PI) / 180);
  const by = (what: Bent['what'], load: number, inward: boolean): Bent | undefined => {
    const duration = what === 'gust' ? 'storm' : 'weeks';
    const own = bending({ pane, length, width, bars, load: Math.max(0.1, weight) });
    const extra = bending({ pane, length, width, bars, load: Math.max(0.1, load) });
    const whole = bending({ pane, length, width, bars, load: Math.max(0.1, load + (inward ? weight : -weight)) });
    const limit = bears(pane, duration);
    const lasting = bears(pane, 'years');
    if (!own || !extra || !whole || !limit || !lasting) return undefined;
    const strength = extra.stress / limit + (inward ? own.stress / lasting : 0);
    const room = inward ? whole.deflection / Math.max(1e-6, gap - offPlate) : 0;
    return {
      what,
      load,
      deflection: whole.deflection,
      stress: whole.stress,
      bears: limit,
      use: Math.max(strength, room),
    };
  };
  const all = [
    by('gust', wind.outward, false),
    by('gust', wind.inward, true),
    wind.tilt < snowSlides ? by('snow', snowLoad, true) : undefined,
  ];
  return all.reduce((most, one) => (one && (!most || one.use > most.use) ? one : most), undefined);
}

/** Whether a pane with so many bars holds its loads and stays off the plate. */
function holds(seen: Seen, bars: number, wind: WindOnPane): boolean {
  const field = widestField[seen.pane.kind];
  if (field !== undefined) return Math.min(seen.width, seen.length / (bars + 1)) <= field;
  return (worstBend(seen, bars, wind)?.use ?? 0) <= 1;
}

/** How a pane stands the site's gust and its snow, EN 16612 for glass by how long each lies. */
export function paneUnderWind(seen: Seen, wind: WindOnPane, paths: PanePaths): Finding[] {
  const { pane, length, width, bars, gap } = seen;
  if (holds(seen, bars, wind)) return [];
  const field = widestField[pane.kind];
  const bent = worstBend(seen, bars, wind);
  const enough = Array.from({ length: mostBars + 1 }, (_, count) => count).find(
    (count) => count > bars && holds(seen, count, wind),
  );
  const path = paths.bars ?? paths.pane;
  const fix = paths.bars === undefined || enough === undefined ? {} : { fix: enough };
  if (bent) {
    const { what, load, deflection, stress, bears: most } = bent;
    const values = { name: pane.name, what, load, deflection, stress, bears: most, gap };
    return [finding.caution('pane-bends', path, values, fix)];
  }
  const values = { name: pane.name, field: Math.min(width, length / (bars + 1)), most: field ?? 0 };
  return [finding.caution('film-loose', path, values, fix)];
}

/** What is to be looked at in a pane wherever it stands: room for its bars, how it breaks, what must be measured of it. */
export function paneFindings({ pane, bars, gap, path }: Seen & { path: string }): Finding[] {
  const found: Finding[] = [];
  const at = (field: string) => `${path}.glazing.parameters.${field}`;
  if (bars > 0 && gap < barRoom - 1e-9)
    found.push(
      finding.clash('bars-meet-plate', `${path}.parameters.airGap`, { gap, least: barRoom }, { fix: barRoom }),
    );
  if (pane.kind === 'annealed') found.push(finding.caution('annealed-cracks', at('pane'), { name: pane.name }));
  if (pane.kind === 'sealed-unit')
    found.push(
      finding.note('salvaged-unmeasured', at('pane'), { low: pane.transmittance.low, high: pane.transmittance.high }),
    );
  return found;
}

export const glazingWords: Record<string, Words> = {
  'pane-bends': (values, say) => ({
    headline: 'pane bends too far',
    detail: `Under ${say.quantity('pressure', values.number('load'))} of ${values.text('what')} ${values.text('name')} bends ${say.length(values.number('deflection'))} over a gap of ${say.length(values.number('gap'))}, with ${say.quantity('stress', values.number('stress'))} in its face; it bears ${say.quantity('stress', values.number('bears'))} for as long as that lasts.`,
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
