import * as fc from 'fast-check';
import { fixesFor } from '../../care';
import { evenly } from '../../quantity';
import { type Family, type HeaterDesign, type HeaterDocument, standardChoice } from '..';
import { anyPanel } from '../anyPanel.fixture';

/** Rounds of mending that a panel is given before it is let go. */
const rounds = 14;

function setAt(panel: HeaterDocument, path: string, value: unknown): HeaterDocument {
  const copy = JSON.parse(JSON.stringify(panel)) as Record<string, unknown>;
  const steps = path.split('.');
  const last = steps.pop() ?? '';
  const holder = steps.reduce((node, step) => node[step] as Record<string, unknown>, copy);
  holder[last] = value;
  return copy as unknown as HeaterDocument;
}

/** The panel with what it says would mend it done, as long as it clashes; nothing where that does not end. */
export function mended(
  family: Family,
  drawn: HeaterDocument,
): { panel: HeaterDocument; design: HeaterDesign } | undefined {
  let panel = drawn;
  for (let round = 0; round < rounds; round += 1) {
    let design: HeaterDesign;
    try {
      design = family.open(panel, 'heaters.panel-a');
    } catch {
      return undefined;
    }
    const clash = design.findings.filter(({ severity }) => severity === 'clash');
    if (clash.length === 0) return { panel, design };
    const [mend] = clash.filter(({ fix }) => fix !== undefined);
    if (!mend) return undefined;
    for (const { path, value } of fixesFor(mend)) panel = setAt(panel, path.slice('heaters.panel-a.'.length), value);
    if (family.problems(panel).length > 0) return undefined;
  }
  return undefined;
}

/**
 * So many designs of a kind that can be built: three in four near what a builder begins with, going round all kinds of box, absorber, pane
 * and every other choice in turn, one in four drawn from anywhere in the range; each filled to its pane and mended by its own fixes.
 * Throws where too few of what is drawn can be built.
 */
export function buildable(
  family: Family,
  count: number,
  seed: number,
): { panel: HeaterDocument; design: HeaterDesign }[] {
  const found: { panel: HeaterDocument; design: HeaterDesign }[] = [];
  const tries = 80 * count;
  const wild = fc.sample(anyPanel(family), { seed, numRuns: Math.ceil(tries / 4) });
  const random = evenly(seed);
  for (let turn = 0; turn < tries && found.length < count; turn += 1) {
    const drawn =
      turn % 4 === 3 ? wild[Math.floor(turn / 4)] : nearStandard(family, turn + Math.floor(turn / 4), random);
    if (!drawn) continue;
    for (const panel of family.fit ? [drawn, attempt(() => family.fit?.(drawn))] : [drawn]) {
      const built = panel && mended(family, panel);
      if (built && found.length < count) {
        found.push(built);
        break;
      }
    }
  }
  if (found.length < count) throw new Error(`${found.length} of ${count} designs of a ${family.id} can be built`);
  return found;
}

function attempt<T>(make: () => T): T | undefined {
  try {
    return make();
  } catch {
    return undefined;
  }
}

/** Strides through the choices of a field, so that those of two fields do not go in step. */
const strides = [1, 2, 3, 5, 7, 11, 13];

/** A standard panel of either habit with every choice made by its turn and lengths and counts moved by chance, by up to a quarter. */
function nearStandard(family: Family, turn: number, random: () => number): HeaterDocument {
  const habit = turn % 2 === 0 ? 'metric' : 'imperial';
  let panel: HeaterDocument = { id: 'p', ...family.standard(habit), turned: turn % 3 === 0 };
  const kinds = family.fields(panel).filter(({ path }) => path.endsWith('.kind'));
  kinds.forEach(({ path, meta, value }, place) => {
    const [name = ''] = path.split('.');
    const choices = meta.choices ?? [];
    const kind =
      choices[Math.floor(turn / (strides[place] ?? 1)) % Math.max(1, choices.length)]?.value ?? String(value);
    panel = { ...panel, [name]: standardChoice(name as 'box', String(kind), habit, panel[name as 'box']) };
  });
  let place = 0;
  for (const { path, meta, value } of family.fields(panel)) {
    if (path.endsWith('.kind')) continue;
    place += 1;
    if (meta.kind === 'length') {
      const { low = 0, high = 1 } = meta;
      // What is zero as a rule is there in every second design.
      const from = Number(value) === 0 && random() < 0.5 ? Math.min(high, 0.02) : Number(value);
      if (random() < 0.4) panel = setAt(panel, path, Math.min(high, Math.max(low, from * (0.75 + 0.5 * random()))));
    } else if (meta.kind === 'count') {
      const { low = 0, high = 9 } = meta;
      if (random() < 0.4)
        panel = setAt(panel, path, Math.min(high, Math.max(low, Number(value) + Math.round(4 * random() - 2))));
    } else if ((meta.choices ?? []).length > 0 && (meta.choices ?? []).length < 6) {
      const choices = meta.choices ?? [];
      panel = setAt(
        panel,
        path,
        choices[Math.floor(turn / (strides[place % strides.length] ?? 1)) % choices.length]?.value ?? value,
      );
    }
  }
  return panel;
}
