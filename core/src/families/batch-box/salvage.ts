import { isClash } from '../../care';
import { sized } from '../../quantity';
import type { Family, HeaterDocument, Orientation, Salvaged, SalvageFit } from '../family';
import { type LeftOut, largestPane, roleOf, type Taken, thingsOf } from '../salvage';
import { fieldRange } from './parameters';

type Box = Pick<Family, 'fit' | 'problems' | 'open'>;
type Pane = NonNullable<ReturnType<typeof largestPane>>;
type Tank = ReturnType<typeof thingsOf<'tank'>>[number];

/** One way in which a box takes what is on hand. */
interface Way {
  tanks?: { tank: Tank; count: number; stand: string };
  glass?: { pane: Pane; turned: boolean };
}

/** Degrees between two tilts that are tried, and the flattest of them. */
const flatter = { step: 5, least: 15 } as const;

/** A box round a pane and old tanks that are on hand: whichever of both it can hold, lying or leaning, and why not where it cannot. */
export function fitBoxSalvage(family: Box): SalvageFit {
  return (panel, things, standing) => {
    const pane = largestPane(things);
    const [tank] = thingsOf(things, 'tank').sort((a, b) => b.count - a.count);
    if (!pane && !tank) return { panel, taken: [] };
    const both = pane && tank ? waysOf(panel, tank, pane) : [];
    const found = firstThatGoes(family, panel, both, standing);
    if (found) return found;
    const left: LeftOut[] = [];
    if (pane && tank) {
      const wanted = drawnSo(panel, both[0] ?? {});
      left.push({ id: pane.id, ...whyNot(family, wanted, standing), ...flatterTilt(family, panel, both, standing) });
    }
    const withTank = firstThatGoes(family, panel, tank ? waysOf(panel, tank, undefined) : [], standing);
    if (withTank) return { ...withTank, left };
    if (tank) {
      const [way = {}] = waysOf(panel, tank, undefined);
      left.push({ id: tank.id, ...whyNot(family, drawnSo(panel, way), standing) });
    }
    const withPane = firstThatGoes(family, panel, pane ? waysOf(panel, undefined, pane) : [], standing);
    if (withPane) return { ...withPane, left: left.filter(({ id }) => id !== pane?.id) };
    if (pane && !tank)
      left.push({ id: pane.id, ...whyNot(family, drawnSo(panel, { glass: { pane, turned: false } }), standing) });
    return { panel, taken: [], left };
  };
}

/** Ways in which it could take them, those that use the most first, and as it is drawn before the other. */
function waysOf({ parameters }: HeaterDocument, tank: Tank | undefined, pane: Pane | undefined): Way[] {
  const glass = pane ? [false, true].map((turned) => ({ pane, turned })) : [undefined];
  const stands = parameters.stand === 'upright' ? ['upright', 'lying'] : ['lying', 'upright'];
  const most = tank ? Math.min(tank.count, Math.max(1, Number(parameters.tanks))) : 0;
  const counts = Array.from({ length: most }, (_, less) => most - less);
  const sets = tank ? counts.flatMap((count) => stands.map((stand) => ({ tank, count, stand }))) : [undefined];
  return sets.flatMap((tanks) =>
    glass.map((one): Way => ({ ...(tanks ? { tanks } : {}), ...(one ? { glass: one } : {}) })),
  );
}

function drawnSo(panel: HeaterDocument, { tanks, glass }: Way): HeaterDocument {
  const parameters = {
    ...panel.parameters,
    ...(tanks
      ? {
          tankKind: 'used',
          tankDiameter: tanks.tank.diameter,
          tankLength: tanks.tank.length,
          tanks: tanks.count,
          stand: tanks.stand,
        }
      : {}),
    ...(glass
      ? {
          paneLength: glass.turned ? glass.pane.short : glass.pane.long,
          paneWidth: glass.turned ? glass.pane.long : glass.pane.short,
        }
      : {}),
  };
  return { ...panel, parameters };
}

/** Times that a pane is made larger for tanks that do not go under it. */
const mostGrown = 4;

/** A panel whose pane, ordered to size, is as large as its tanks want. */
function grownPane(family: Box, panel: HeaterDocument, standing: Orientation | undefined): HeaterDocument {
  let grown = panel;
  for (let times = 0; times < mostGrown && family.problems(grown).length === 0; times += 1) {
    const { findings } = family.open(grown, 'heaters.any', standing);
    const short = (code: string) => {
      const { need, room } = findings.find((one) => one.code === code)?.values ?? {};
      return typeof need === 'number' && typeof room === 'number' ? Math.ceil(1000 * (need - room)) / 1000 : 0;
    };
    const more = { paneLength: short('tanks-too-long'), paneWidth: short('tanks-too-wide') };
    if (more.paneLength === 0 && more.paneWidth === 0) return grown;
    const size = (name: 'paneLength' | 'paneWidth') =>
      Math.min(fieldRange(name).high, Number(grown.parameters[name]) + more[name]);
    const parameters = { ...grown.parameters, paneLength: size('paneLength'), paneWidth: size('paneWidth') };
    grown = { ...grown, parameters };
  }
  return grown;
}

function firstThatGoes(
  family: Box,
  panel: HeaterDocument,
  ways: readonly Way[],
  standing: Orientation | undefined,
): Salvaged | undefined {
  for (const way of ways) {
    const drawn = drawnSo(panel, way);
    if (family.problems(drawn).length > 0) continue;
    // What is not on hand follows what is: tanks their pane, and a pane its tanks.
    const fitted = way.glass
      ? way.tanks
        ? drawn
        : (family.fit?.(drawn, standing) ?? drawn)
      : grownPane(family, drawn, standing);
    if (family.problems(fitted).length > 0) continue;
    const { findings, purchases } = family.open(fitted, 'heaters.any', standing);
    if (findings.some(isClash)) continue;
    return { panel: fitted, taken: takenBy(way, purchases) };
  }
  return undefined;
}

function takenBy({ tanks, glass }: Way, purchases: ReturnType<Family['open']>['purchases']): Taken[] {
  const taken: Taken[] = [];
  const line = purchases.find(({ priceKey }) => priceKey.startsWith('pane/'));
  if (glass && line) {
    const { id, long, short, count } = glass.pane;
    taken.push({
      id,
      words: `the pane ${sized(long)} × ${sized(short)} as its cover`,
      covers: { [roleOf(line)]: line.quantity * count },
      alike: count,
    });
  }
  if (tanks) {
    const { tank, count, stand } = tanks;
    taken.push({
      id: tank.id,
      words: `${count === 1 ? 'the tank' : `${count} of the tanks`}, ${sized(tank.diameter)} across, ${stand === 'lying' ? 'lying' : 'leaning with the pane'}`,
      covers: { tank: tank.count },
      alike: Math.max(1, Math.floor(tank.count / count)),
    });
  }
  return taken;
}

/** What does not fit of a panel; nothing where its sizes are out of their range. */
function whyNot(family: Box, panel: HeaterDocument, standing: Orientation | undefined): Pick<LeftOut, 'finding'> {
  if (family.problems(panel).length > 0) return {};
  const finding = family.open(panel, 'heaters.any', standing).findings.find(isClash);
  return finding ? { finding } : {};
}

/** The steepest tilt under this one at which they would go. */
function flatterTilt(
  family: Box,
  panel: HeaterDocument,
  ways: readonly Way[],
  standing: Orientation | undefined,
): Pick<LeftOut, 'fitsAt'> {
  if (!standing) return {};
  const from = Math.floor((standing.tilt - 1e-6) / flatter.step) * flatter.step;
  for (let tilt = from; tilt >= flatter.least; tilt -= flatter.step)
    if (firstThatGoes(family, panel, ways, { ...standing, tilt })) return { fitsAt: tilt };
  return {};
}
