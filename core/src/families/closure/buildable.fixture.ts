import * as fc from 'fast-check';
import { mendsOf } from '../../care';
import { type Family, type PanelDesign, type PanelDocument, standardChoice } from '..';
import { anyPanel } from '../anyPanel.fixture';

/** Rounds of mending that a panel is given before it is let go. */
const rounds = 14;

function setAt(panel: PanelDocument, path: string, value: unknown): PanelDocument {
  const copy = JSON.parse(JSON.stringify(panel)) as Record<string, unknown>;
  const steps = path.split('.');
  const last = steps.pop() ?? '';
  const holder = steps.reduce((node, step) => node[step] as Record<string, unknown>, copy);
  holder[last] = value;
  return copy as unknown as PanelDocument;
}

/** The panel with what it says would mend it done, as long as it clashes; nothing where that does not end. */
export function mended(
  family: Family,
  drawn: PanelDocument,
): { panel: PanelDocument; design: PanelDesign } | undefined {
  let panel = drawn;
  for (let round = 0; round < rounds; round += 1) {
    let design: PanelDesign;
    try {
      design = family.open(panel, 'panels.0');
    } catch {
      return undefined;
    }
    const clash = design.findings.filter(({ severity }) => severity === 'clash');
    if (clash.length === 0) return { panel, design };
    const [mend] = clash.filter(({ fix }) => fix !== undefined);
    if (!mend) return undefined;
    for (const { path, value } of mendsOf(mend)) panel = setAt(panel, path.slice('panels.0.'.length), value);
    if (family.problems(panel).length > 0) return undefined;
  }
  return undefined;
}

/**
 * So many designs of a kind that can be built, drawn by chance: half of them from anywhere in the range, half near what a builder begins
 * with, each filled to its pane and mended by its own fixes. Throws where too few of what is drawn can be built.
 */
export function buildable(
  family: Family,
  count: number,
  seed: number,
): { panel: PanelDocument; design: PanelDesign }[] {
  const found: { panel: PanelDocument; design: PanelDesign }[] = [];
  const tries = 60 * count;
  const wild = fc.sample(anyPanel(family), { seed, numRuns: tries });
  const tame = fc.sample(nearStandard(family), { seed, numRuns: tries });
  for (let index = 0; index < tries && found.length < count; index += 1) {
    const drawn = (index % 2 === 0 ? tame : wild)[index];
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

/** A standard panel of either habit with some fields moved by up to a third and some choices made anew. */
function nearStandard(family: Family): fc.Arbitrary<PanelDocument> {
  return fc
    .tuple(
      fc.constantFrom('metric' as const, 'imperial' as const),
      fc.boolean(),
      fc.infiniteStream(fc.double({ min: 0, max: 1, noNaN: true })),
    )
    .map(([habit, turned, stream]) => {
      const next = () => Number(stream.next().value);
      let panel: PanelDocument = { id: 'p', ...family.standard(habit), turned };
      for (const field of family.fields(panel)) {
        if (!field.path.endsWith('.kind') || next() < 0.4) continue;
        const [name = ''] = field.path.split('.');
        const choices = field.meta.choices ?? [];
        const kind = choices[Math.floor(next() * choices.length)]?.value ?? String(field.value);
        panel = { ...panel, [name]: standardChoice(name as 'box', String(kind), habit, panel[name as 'box']) };
      }
      for (const { path, meta, value } of family.fields(panel)) {
        if (path.endsWith('.kind') || next() < 0.6) continue;
        if (meta.kind === 'length') {
          const { low = 0, high = 1 } = meta;
          const moved = Number(value) * (0.75 + 0.5 * next());
          panel = setAt(panel, path, Math.min(high, Math.max(low, moved)));
        } else if (meta.kind === 'count') {
          const { low = 0, high = 9 } = meta;
          panel = setAt(panel, path, Math.min(high, Math.max(low, Number(value) + Math.round(4 * next() - 2))));
        } else {
          const choices = meta.choices ?? [];
          panel = setAt(panel, path, choices[Math.floor(next() * choices.length)]?.value ?? value);
        }
      }
      return panel;
    });
}
