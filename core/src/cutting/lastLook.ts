import type { OpenJob } from '../job';
import { sized } from '../quantity';
import { isPane, leftOut, materialClass, type ShopPlan } from '../shop';

/** Something to be sure of before the saw. */
export interface LookItem {
  /** From its role, for instance `panel-a/look/pane`. */
  id: string;
  /** What to do; quantities by `sized`. */
  words: string;
  /** What it was when the builder found it right stands in the log; another value asks again. */
  value: string;
  /** The builder has found it right as it is now. */
  settled: boolean;
  /** Only a change of the design or the plan mends it: no tick will. */
  open?: true;
}

/**
 * What is still uncertain before anything is cut: the pane not measured, the fit not tried, the saw's kerf not measured, pieces cut
 * that are not what is wanted now, pieces that no stock holds, clashes. A danger that stays with the kind, whatever is drawn, is no clash.
 */
export function lastLook(open: OpenJob, plan: ShopPlan): LookItem[] {
  const { checks } = open.state;
  const ask = (id: string, words: string, value: string): LookItem => ({
    id,
    words,
    value,
    settled: checks[id] === value,
  });
  const never = (id: string, words: string): LookItem => ({ id, words, value: '', settled: false, open: true });
  const names = new Map(plan.materials.flatMap(({ parts }) => parts).map(({ id, name }) => [id, name]));
  const nameOf = (part: string) => (names.get(part) ?? part).toLowerCase();
  return [
    ...open.panels.flatMap(({ document, design }): LookItem[] => {
      const clashes = design.findings.filter(({ severity }) => severity === 'clash').length;
      const size = paneOf(document.glazing?.parameters);
      const paned = design.purchases.some(isPane);
      return [
        ...(clashes > 0
          ? [
              never(
                `${document.id}/look/clash`,
                `${document.id}: ${clashes === 1 ? 'a problem is' : `${clashes} problems are`} still open on Size; what is cut now may not fit`,
              ),
            ]
          : []),
        ...(paned && size
          ? [
              ask(
                `${document.id}/look/pane`,
                `measure the pane itself, both sides and both diagonals: ${sized(size.length)} by ${sized(size.width)} is drawn`,
                `${size.length} × ${size.width}`,
              ),
            ]
          : []),
        ...design.trials.map(({ id, words }) => ask(`${document.id}/look/${id}`, words, words)),
      ];
    }),
    ...kerfItems(plan, ask),
    ...plan.materials.flatMap((material): LookItem[] => {
      const { misfits, item } = material;
      return [
        ...misfits.map(({ part, fate, cut, wanted }, index) =>
          never(`look/misfit/${item}/${index}`, misfitWords(nameOf(part), fate, cut, wanted)),
        ),
        ...leftOut(material).map(({ id, count, why }) =>
          never(
            `look/unplaced/${id}`,
            why === 'too large'
              ? `${nameOf(id)}: nothing to be had is large enough`
              : `${count} × ${nameOf(id)}: too little is to be had`,
          ),
        ),
        ...(material.kind === 'length'
          ? [
              ...[...new Set(material.decided.released)].map((part) =>
                never(
                  `look/released/${item}/${part}`,
                  `${nameOf(part)} no longer goes on the bar that you laid it on; it was planned anew`,
                ),
              ),
              ...(material.plan.loose ?? []).map((tie) =>
                never(
                  `look/loose/${item}/${tie}`,
                  `no ${material.name} is long enough for pieces that were to come off one length`,
                ),
              ),
            ]
          : []),
      ];
    }),
  ];
}

function paneOf(parameters: Record<string, unknown> | undefined): { length: number; width: number } | undefined {
  const { length, width } = parameters ?? {};
  return typeof length === 'number' && typeof width === 'number' ? { length, width } : undefined;
}

function kerfItems(plan: ShopPlan, ask: (id: string, words: string, value: string) => LookItem): LookItem[] {
  const kerfs = new Map<string, number>();
  for (const material of plan.materials) {
    if (material.parts.length > 0 && material.kerf > 0) kerfs.set(materialClass(material), material.kerf);
  }
  return [...kerfs].map(([stuff, kerf]) =>
    ask(
      `look/kerf/${stuff}`,
      `measure a cut of your own saw in scrap ${stuff}: ${sized(kerf, true)} is assumed`,
      String(kerf),
    ),
  );
}

function misfitWords(name: string, fate: 'long' | 'short' | 'spare', cut: number, wanted: number | undefined): string {
  if (fate === 'spare') return `${name}, cut at ${sized(cut)}, is wanted no more`;
  if (fate === 'long') return `${name} is cut at ${sized(cut)} and wanted at ${sized(wanted ?? cut)}: trim it`;
  return `${name} is cut at ${sized(cut)}, too short for ${sized(wanted ?? cut)} as it is drawn now: one more is planned`;
}
