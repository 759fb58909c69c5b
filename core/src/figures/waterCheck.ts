import { type HeaderEvenness, headersCompared, manifoldFlow, narrowestEven, unevenness } from '../flow';
import { plateAtWork } from '../heat';
import type { OpenJob } from '../job';
import { manifoldQuery } from '../job';
import type { Figures } from './evaluate';

/** How one panel shares its water, and what an uneven share or a blocked riser does to it. */
export interface WaterCheck {
  /** Header's bore area over those of all risers: the rule of thumb asks for 1. */
  areaRatio: number;
  /** Most over least of the risers' flows. */
  unevenness: number;
  /** K between the hottest and the coldest riser's outlet. */
  spread: number;
  /** Share of the gain that the uneven flow costs. */
  cost: number;
  /** Headers to be had, by bore; the narrowest that feeds evenly enough, and the one that is drawn. */
  headers: (HeaderEvenness & { id: string; name: string; chosen: boolean; advised: boolean })[];
  /** Path in the panel of the field that holds the header. */
  headerPath: string;
  /** One riser in the middle blocked: share of the gain that it costs, and °C of its plate. */
  blocked: { riser: number; cost: number; plate: number };
}

/** Nothing for a panel whose water goes one way only, or that has no working point. */
export function waterCheck(open: OpenJob, figures: Figures, index: number): WaterCheck | undefined {
  const panel = open.panels[index];
  const figure = figures.perPanel[index];
  if (!panel || !figure) throw new RangeError(`no panel ${index}`);
  const { water, heat } = panel.design;
  const { state, massFlow, inlet } = figure;
  if (water.kind !== 'manifold' || !state || figure.riserShares.length === 0) return undefined;
  const conditions = { ...figures.conditions, massFlow, inlet };
  const query = manifoldQuery(water, panel.document.turned, { ...conditions, ...state });
  const even = plateAtWork(heat, conditions, state).heat;
  const at = (shares: readonly number[]) => plateAtWork(heat, conditions, state, shares);
  const uneven = at(figure.riserShares);
  const ends = uneven.water.map((line) => line[line.length - 1] ?? conditions.inlet);
  const compared = headersCompared(
    query,
    water.headers.choices.map(({ bore }) => bore),
  );
  const advised = narrowestEven(compared);
  const riser = Math.floor(water.risers / 2);
  const plugged = at(
    manifoldFlow({ ...query, blocked: riser }).fractions.map((share, one) => (one === riser ? 0 : share)),
  );
  return {
    areaRatio: water.headerBore ** 2 / (water.risers * water.riserBore ** 2),
    unevenness: unevenness(figure.riserShares),
    spread: Math.max(...ends) - Math.min(...ends),
    cost: even > 0 ? Math.max(0, 1 - uneven.heat / even) : 0,
    headers: compared.map((one, place) => {
      const choice = water.headers.choices[place] ?? { id: '', name: '', bore: one.bore };
      return { ...one, ...choice, chosen: choice.id === water.headers.chosen, advised: one === advised };
    }),
    headerPath: water.headers.path,
    blocked: {
      riser,
      cost: even > 0 ? Math.max(0, 1 - plugged.heat / even) : 0,
      plate: Math.max(...(plugged.plate[riser] ?? []).flat()),
    },
  };
}
