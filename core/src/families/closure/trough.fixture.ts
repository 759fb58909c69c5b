import { elbowFor, entry, findEntry } from '../../catalogue';
import { type CutList, diameterOf, lengthOf, type Typed, thicknessOf } from './list.fixture';
import { tiny } from './solids.fixture';

const mm = (metres: number) => `${(metres * 1000).toFixed(1)} mm`;

/**
 * Troughs put together from their list: pipe ripped into its pieces, caps that fit inside them and hold the black pipe clear of the mirror,
 * links that reach from pipe to pipe, bearers under all of them with wood left under each seat, and film that covers them.
 */
export function buildTrough(list: CutList, typed: Typed): string[] {
  const wrong: string[] = [];
  const check = (fine: boolean, words: string) => {
    if (!fine) wrong.push(words);
  };
  const troughs = Number(typed.troughs);
  const ways = typed.share === 'half' ? 2 : 3;
  const length = Number(typed.length);
  const big = entry('tube', String(typed.pipe));
  const inner = big.outerDiameter / 2 - big.wall;
  // Ripped: each blade takes 3 mm of the round.
  const pipes = Array.from({ length: list.count('trough-pipe') }, () => list.take('trough-pipe'));
  check(
    pipes.length * ways >= troughs && (pipes.length - 1) * ways < troughs,
    `${pipes.length} pipes for ${troughs} troughs`,
  );
  for (const one of pipes) check(Math.abs(lengthOf(one) - length) < tiny, 'a pipe of another length');
  const arc = (2 * Math.PI * inner) / ways - 0.003;
  const half = arc / inner / 2;
  const chord = 2 * inner * Math.sin(half);
  const depth = inner * (1 - Math.cos(half));
  const height = Number(typed.height);
  const black = entry('tube', String(typed.receiver));
  let cap = 0;
  for (let index = 0; index < 2 * troughs; index += 1) {
    const one = list.take('cap');
    if (one.kind !== 'sheet') throw new Error('a cap that is no sheet');
    cap = thicknessOf(one);
    check(
      Math.abs(one.width - chord) < tiny && Math.abs(one.height - depth) < tiny,
      `a cap of ${mm(one.width)} × ${mm(one.height)}`,
    );
  }
  // The pipe is held between mirror and edges.
  check(height - black.outerDiameter / 2 > 0.002, 'the black pipe lies on the mirror');
  check(height + black.outerDiameter / 2 < depth, 'the black pipe stands over the edges');
  const elbow = elbowFor(black.outerDiameter);
  for (let index = 0; index < troughs; index += 1) {
    const one = list.take('receiver');
    check(diameterOf(one) === black.outerDiameter, 'a black pipe of another size');
    check(
      lengthOf(one) - length > 2 * elbow.socket,
      `${mm(lengthOf(one) - length)} outside of the caps for two sockets`,
    );
  }
  const pitch = big.outerDiameter * Math.sin(half) + Number(typed.gap);
  for (let index = 0; index < troughs - 1; index += 1) {
    const one = list.take('link');
    check(Math.abs(lengthOf(one) + 2 * elbow.laying - pitch) < tiny, 'a link that does not reach from pipe to pipe');
    check(lengthOf(one) > 2 * elbow.socket, 'two elbows meet on a link');
  }
  check((list.bought('elbow')?.quantity ?? 0) === 2 * (troughs - 1), 'not two elbows a link');
  const bearers = Array.from({ length: list.count('bearer') }, () => list.take('bearer'));
  check(bearers.length >= 2, 'a trough on one bearer');
  const [board] = bearers as [(typeof bearers)[0]];
  const high = findEntry('timber', board.item)?.width ?? 0;
  check(lengthOf(board) > (troughs - 1) * pitch + chord, 'the outer troughs have no bearer under them');
  check(high - 0.12 * big.outerDiameter > 0.034, 'no wood under a seat');
  check(big.outerDiameter * 0.12 < depth + big.wall, 'a seat deeper than its trough');
  // Sagging from bearer to bearer.
  check(
    (length - 2 * Math.min(0.2, length / 5)) / (bearers.length - 1) < 1.2 + tiny,
    'a trough sags from bearer to bearer',
  );
  const film = list.bought('film');
  const covered = troughs * (arc - 2 * Number(typed.film)) * (length - 2 * cap);
  check(Math.abs((film?.quantity ?? 0) - covered) < 1e-6, 'film that does not cover, or stands over');
  const screws = Number(list.bought('cap-screws')?.quantity ?? 0);
  check(screws === 6 * troughs, 'not three screws a cap');
  check(Number(list.bought('seat-screws')?.quantity ?? 0) === troughs * bearers.length, 'a seat without its screw');
  return [...wrong, ...list.left().map((words) => `left over: ${words}`)];
}
