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
    check(rows.length === 2, 'not a fill hole and a vent');
    // A socket of EN ISO 1452-3 takes half the pipe's outside and 6 mm: what is drilled there lies under the cap.
    const socket = tube.outerDiameter / 2 + 0.006;
    for (const { positions, diameter, where, datum } of rows) {
      check(where.includes('uppermost') && datum === 'high end', 'a hole that is not on top, from the high end');
      for (const at of positions) {
        check(at - diameter / 2 > socket + 0.005, `a hole ${mm(at)} from the end lies under a cap of ${mm(socket)}`);
        check(at + diameter / 2 < length - socket - 0.005, 'a hole under the low cap');
        check(diameter < 0.75 * tube.outerDiameter, 'a hole as wide as its pipe');
      }
    }
    // Filled to the top: air leaves above where water comes in, and nothing stands open lower down.
    const [vent, fill] = rows.map(({ positions }) => positions[0] ?? Number.NaN);
    check((vent ?? 1) < (fill ?? 0), 'the vent lies lower than the fill hole');
  }
  // Held: a screw through an angle goes into a saddle by 15 mm at least and does not come out of it.
  const screw = list.bought('saddle-screws');
  const long = screw?.size && 'length' in screw.size ? Number(screw.size.length) : Number.NaN;
  check(long >= 0.015 && long < thicknessOf(board), `screws of ${mm(long)} in saddles of ${mm(thicknessOf(board))}`);
  check((list.bought('saddle-angle')?.quantity ?? 0) >= 2 * saddles, 'a saddle that nothing holds down');
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
