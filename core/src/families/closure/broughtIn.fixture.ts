import { findEntry } from '../../catalogue';
import type { Part } from '../../shop';
import type { Step } from '../../steps';
import type { CutList, Typed } from './list.fixture';

/** A step that closes something, and roles of what lies inside of it then: no later step brings one of them in. */
interface Closing {
  step: string;
  inside: RegExp;
}

const panel: Closing = {
  step: 'glaze',
  inside: /^(riser|header|run|stub|coil|strip|fin|insulation|rail|array-clip|sensor-wire)/,
};
const closings: Readonly<Record<string, readonly Closing[]>> = {
  harp: [panel],
  serpentine: [panel],
  lattice: [
    { step: 'bolt', inside: /^(ports|port-screws|gasket-strip|front|back)$/ },
    { step: 'glaze', inside: /^(backing|wool-wire|bolt|bolt-rim)$/ },
  ],
  trickle: [{ step: 'glaze', inside: /^(can|skin|feed|gutter|batten|bearer|wool)$/ }],
  'batch-box': [
    { step: 'join', inside: /^(bearer|post|foot)/ },
    { step: 'glaze', inside: /^(tank|link|anode|insulation-(floor|front)|lining|tank-strap|bearer)/ },
  ],
  spiral: [{ step: 'glaze', inside: /^(hose|tie|tie-base|bulkhead)$/ }],
  'heat-pipe': [
    { step: 'boil-out', inside: /^(pipe|cap|distilled)$/ },
    { step: 'test-open', inside: /^(tee|manifold-piece|strip|bottle)$/ },
  ],
  'roof-tube': [{ step: 'caps', inside: /^(outlet|cap)$/ }],
  trough: [{ step: 'pipe', inside: /^(film|cap|cap-screws|seat-screws)$/ }],
};

/** Things that a step brings in after what they lie in was closed. */
export function tooLate(family: string, prefix: string, steps: readonly Step[]): string[] {
  const role = (id: string) => id.slice(prefix.length + 1);
  const after = (step: Step): Set<string> => {
    const found = new Set<string>();
    const waiting = [...step.after];
    for (let id = waiting.pop(); id !== undefined; id = waiting.pop()) {
      if (found.has(id)) continue;
      found.add(id);
      waiting.push(...(steps.find((one) => one.id === id)?.after ?? []));
    }
    return found;
  };
  return (closings[family] ?? []).flatMap(({ step, inside }) => {
    const closing = `${prefix}/step/${step}`;
    return steps
      .filter((one) => after(one).has(closing))
      .flatMap((one) =>
        one.parts
          .filter((id) => inside.test(role(id)))
          .map((id) => `${role(id)} comes in at “${one.name}”, after “${step}”`),
      );
  });
}

/** m by which a hole must be wider than what passes it by hand. */
const slips = 0.0002;

function tubeOf(list: CutList, role: string): number | undefined {
  const part = list.parts.find(({ id }) => id === `${list.prefix}/${role}`);
  return part && findEntry('tube', part.item)?.outerDiameter;
}

function holesIn(part: Part | undefined, where: RegExp): number[] {
  return (part?.holes ?? []).filter((row) => where.test(row.where)).map(({ diameter, slot = 0 }) => diameter + slot);
}

/** Holes of a kind that are too small for what goes through them, each piece by its own list; and how many were looked at. */
export function tooTight(family: string, list: CutList, typed: Typed): { wrong: string[]; looked: number } {
  let looked = 0;
  const wrong = tightOf(family, list, typed, (holes) => {
    looked += holes;
  });
  return { wrong, looked };
}

function tightOf(family: string, list: CutList, typed: Typed, count: (holes: number) => void): string[] {
  const part = (role: string) => list.parts.find(({ id }) => id === `${list.prefix}/${role}`);
  const passes = (what: string, outside: number | undefined, holes: readonly number[]): string[] => {
    if (outside === undefined) return [];
    count(holes.length);
    return holes
      .filter((hole) => hole < outside + slips)
      .map(
        (hole) => `${what} of ${(1000 * outside).toFixed(1)} mm does not pass a hole of ${(1000 * hole).toFixed(1)} mm`,
      );
  };
  switch (family) {
    case 'harp': {
      const boards = ['side-low', 'side-high', 'end'].flatMap((role) => holesIn(part(role), /header|pipe|tube/));
      // Headers of tees go through by their tees only where those stand out of the box; the tube itself always does.
      return passes('a header', tubeOf(list, 'header-cold') ?? tubeOf(list, 'header-open'), boards);
    }
    case 'serpentine': {
      const boards = ['end-cold', 'end-hot', 'end'].flatMap((role) => holesIn(part(role), /run|pipe|tube/));
      return passes('a run', tubeOf(list, 'run-first') ?? tubeOf(list, 'coil'), boards);
    }
    case 'lattice':
      return passes('a bolt', Number(typed.bolt), holesIn(part('front'), /bolt/));
    case 'trickle':
      return passes('a feed', 0.008, holesIn(part('end-feeds'), /feed/));
    case 'heat-pipe':
      return passes('a pipe', tubeOf(list, 'pipe'), holesIn(part('rail'), /pipes/));
    case 'trough': {
      const drilled = (part('cap')?.operations ?? []).flatMap((words) => {
        const found = /drill ⟦~?([\d.]+)[^⟧]*⟧ for the black pipe/.exec(words);
        return found ? [Number(found[1])] : [];
      });
      return passes('a black pipe', tubeOf(list, 'receiver'), drilled);
    }
    default:
      return [];
  }
}
