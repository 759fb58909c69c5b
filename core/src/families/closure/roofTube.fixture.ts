import { entry, findEntry } from '../../catalogue';
import { type CutList, diameterOf, lengthOf, type Typed, thicknessOf } from './list.fixture';
import { tiny } from './solids.fixture';

const mm = (metres: number) => `${(metres * 1000).toFixed(1)} mm`;

/** Pipes on a roof put together from their list: saddles along them, each pipe in its seats, caps beside caps, holes where they are used. */
export function buildRoofTube(list: CutList, typed: Typed): string[] {
  const wrong: string[] = [];
  const check = (fine: boolean, words: string) => {
    if (!fine) wrong.push(words);
  };
  const pipes = Number(typed.pipes);
  const saddles = Number(typed.saddles);
  const tube = entry('tube', String(typed.pipe));
  const boards = Array.from({ length: saddles }, () => list.take('saddle'));
  const [board] = boards as [(typeof boards)[0]];
  const width = lengthOf(board);
  const high = findEntry('timber', board.item)?.width ?? 0;
  check(thicknessOf(board) > 0.015, 'a saddle that falls over');
  const pitch = tube.outerDiameter + Number(typed.gap);
  check((pipes - 1) * pitch + tube.outerDiameter < width - 0.08, 'the outer pipes have no saddle under them');
  // A seat a quarter of the pipe deep holds half its angle of 60° to either side.
  const depth = 0.25 * tube.outerDiameter;
  check(high - depth > 0.034, `${mm(high - depth)} of wood under a seat`);
  const length = Number(typed.length);
  check((length - 2 * Math.min(0.25, length / 5)) / (saddles - 1) < 1.2 + tiny, 'the pipe sags from saddle to saddle');
  for (let index = 0; index < pipes; index += 1) {
    const pipe = list.take('pipe');
    check(Math.abs(lengthOf(pipe) - length) < tiny, 'a pipe of another length');
    check(diameterOf(pipe) === tube.outerDiameter, 'a pipe of another size');
    const rows = pipe.holes ?? [];
    const top = rows.filter(({ where }) => where.includes('uppermost'));
    const low = rows.filter(({ where }) => where.includes('lowest'));
    check(top.length === 2 && low.length === 1, 'not a fill hole, a vent and a link');
    for (const { positions, diameter } of rows)
      for (const at of positions) {
        check(at - diameter / 2 > 0.02 && at + diameter / 2 < length - 0.02, 'a hole under a cap');
        check(diameter < 0.75 * tube.outerDiameter, 'a hole as wide as its pipe');
      }
    // Filled at one end and vented at the other, the way out at the low end.
    const [fill, vent] = top.map(({ positions }) => positions[0] ?? 0);
    check(
      (fill ?? 0) > (vent ?? 0) && (low[0]?.positions[0] ?? 1) < (vent ?? 0),
      'fill hole, vent and outlet in another order',
    );
  }
  const needed: [string, number][] = [
    ['cap', 2 * pipes],
    ['fill-plug', pipes],
    ['vent', pipes],
    ['outlet', pipes],
    ['link', pipes - 1],
  ];
  for (const [role, count] of needed) check((list.bought(role)?.quantity ?? 0) === count, `${role}: not ${count}`);
  // Caps are wider than their pipes by 12 mm.
  check(pipes === 1 || Number(typed.gap) > 0.012, 'caps meet');
  check((list.bought('hand-pump') !== undefined) === (typed.draw === 'pump'), 'a pump that nobody asked for, or none');
  return [...wrong, ...list.left().map((words) => `left over: ${words}`)];
}
