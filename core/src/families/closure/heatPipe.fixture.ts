import { bore, entry, findEntry, teeFor } from '../../catalogue';
import { type CutList, diameterOf, lengthOf, type Typed, thicknessOf } from './list.fixture';
import { clashesOf, place, type Solid, tiny, touch } from './solids.fixture';

const mm = (metres: number) => `${(metres * 1000).toFixed(1)} mm`;

/** A bank of heat pipes put together from its list: stiles, drilled rails, the manifold tee by tee, pipes through the rails into the tees. */
export function buildHeatPipe(list: CutList, typed: Typed): string[] {
  const wrong: string[] = [];
  const check = (fine: boolean, words: string) => {
    if (!fine) wrong.push(words);
  };
  const stiles = [list.take('stile'), list.take('stile')];
  const [stile] = stiles as [(typeof stiles)[0]];
  const rails = [list.take('rail'), list.take('rail')];
  const [rail] = rails as [(typeof rails)[0]];
  const width = lengthOf(rail);
  const long = lengthOf(stile);
  const broad = findEntry('timber', stile.item)?.width ?? 0;
  const high = thicknessOf(stile);
  const row = rail.holes?.[0];
  if (!row) throw new Error('a rail without holes');
  const up = row.across?.distance ?? 0;
  const solids: Solid[] = [0, width - broad].map((y, index) =>
    place(stiles[index] as typeof stile, high, {
      origin: { x: 0, y: y + broad, z: 0 },
      along: ['x', 1],
      up: ['y', -1],
      into: ['z', 1],
    }),
  );
  const thick = thicknessOf(rail);
  const pipe = list.parts.find(({ id }) => id.endsWith('/pipe'));
  if (!pipe) throw new Error('no pipes');
  const sleeve =
    (Number(typed.bottles) - 1) * (Number(typed.bottleHeight) - Number(typed.lap)) + Number(typed.bottleHeight);
  // The low rail holds the bare feet, the high one the bare necks: 60 mm of each.
  const at = [0.03, 0.06 + sleeve + 0.03];
  const standing = at.map((x, index) =>
    place(rails[index] as typeof rail, thick, {
      origin: { x: x - thick / 2, y: 0, z: high },
      along: ['y', 1],
      up: ['z', 1],
      into: ['x', 1],
    }),
  );
  for (const one of standing) for (const under of solids) check(touch(one, under), 'a rail does not stand on a stile');
  solids.push(...standing);
  wrong.push(...clashesOf(solids));
  const tubes = Number(typed.tubes);
  check(row.positions.length === tubes, `${row.positions.length} holes for ${tubes} pipes`);
  check(list.bought('tee')?.quantity === tubes, 'not a tee for each pipe');
  check(list.bought('cap')?.quantity === tubes, 'not a cap for each foot');
  const tube = entry('tube', pipe.item);
  // Brought in: a tip goes through its tee, so that nothing on it is wider than the pipe; the foot's cap stays outside the low rail, and no pipe
  // is threaded through a hole that its cap, its strip or a sleeve does not pass: the rails come apart along their holes.
  const plug = /([\d.]+)/.exec(list.bought('plug')?.name.replace(/^[^⟦]*⟦length:/, '') ?? '');
  check(list.bought('plug')?.quantity === tubes, 'not a plug for each tip');
  check(
    Math.abs(Number(plug?.[1]) - (bore(tube) - 0.0002)) < 1e-6,
    `a plug of ${plug?.[1]} in a bore of ${mm(bore(tube))}`,
  );
  check(
    rail.operations.some((words) => /saw each along the middle of its holes/.test(words)),
    'a rail whose holes nothing with a cap goes through',
  );
  check(
    at.every((x) => x - thick / 2 > 0.018),
    'the cap of a foot stands in the low rail',
  );
  // Held: a keeper's screws pass it and grip in the rail below by 25 mm, and do not come out at its foot.
  const keeper = list.bought('keeper-screws');
  const screwLong = keeper?.size && 'length' in keeper.size ? keeper.size.length : Number.NaN;
  const board = findEntry('timber', rail.item)?.width ?? 0;
  check((keeper?.quantity ?? 0) >= 4, 'nothing holds the keepers');
  check(
    screwLong >= board - up + 0.025 && screwLong < board - 0.004,
    `keeper screws of ${mm(screwLong)} in a board of ${mm(board)}`,
  );
  check(
    row.diameter >= tube.outerDiameter && row.diameter < tube.outerDiameter + 0.002,
    'pipes do not go through the rails',
  );
  // Along the manifold: an end, then tee and piece by turns; the branches come out over the holes.
  const run = entry('tube', String(typed.manifold));
  const tee = teeFor(run.outerDiameter, tube.outerDiameter);
  const end = list.take('manifold-end');
  list.take('manifold-end');
  let y = (row.positions[0] ?? 0) - tee.runLaying - lengthOf(end);
  y += lengthOf(end) + tee.runLaying;
  for (let index = 0; index < tubes; index += 1) {
    const wanted = row.positions[index] ?? Number.NaN;
    check(Math.abs(y - wanted) < 1e-4, `tee ${index + 1} is ${mm(y - wanted)} off its hole`);
    list.take('pipe');
    if (index === tubes - 1) break;
    const piece = list.take('manifold-piece');
    check(diameterOf(piece) === run.outerDiameter, 'a manifold piece of another tube');
    check(lengthOf(piece) > 2 * tee.runSocket, 'two tees meet before their pieces are in');
    y += 2 * tee.runLaying + lengthOf(piece);
  }
  // From foot to tip: bare foot, sleeve, bare neck, into the branch and past it into the run.
  const mouth = 0.06 + sleeve + 0.06;
  const axis = mouth + tee.branchSocket + tee.branchLaying;
  const tip = lengthOf(pipe);
  const inside = tip - (axis - bore(run) / 2);
  check(Math.abs(inside - Number(typed.immersion)) < tiny, `the tip is ${mm(inside)} in the water`);
  check(tip < axis + bore(run) / 2 - 0.0015, 'the tip meets the far wall');
  check(tip - mouth > tee.branchSocket, 'the pipe does not fill its socket');
  check(long > axis, 'the stiles end before the manifold');
  // A strip round each pipe, as long as what is in the sun: folded half round it, it lies so far across.
  if (list.has('strip'))
    for (let index = 0; index < tubes; index += 1) {
      const strip = list.take('strip');
      if (strip.kind !== 'sheet') throw new Error('strips are of sheet');
      const lies = strip.height - (Math.PI * tube.outerDiameter) / 2 + tube.outerDiameter;
      check(Math.abs(lies - Number(typed.strip)) < tiny, `a strip lies ${mm(lies)} across`);
      check(Math.abs(strip.width - sleeve) < tiny, 'a strip is not as long as its sleeve');
      if (typed.sleeve === 'bottles')
        check(lies < Number(typed.bottleDiameter) - 0.004, 'a strip does not go into its bottle');
      check(lies < Number(typed.pitch), 'strips lie on each other');
    }
  else check(Number(typed.strip) <= tube.outerDiameter, 'no strips on the list');
  // Sleeves side by side and over the stiles.
  const across = typed.sleeve === 'bottles' ? Number(typed.bottleDiameter) : tube.outerDiameter;
  for (let index = 1; index < tubes; index += 1)
    check((row.positions[index] ?? 0) - (row.positions[index - 1] ?? 0) > across, 'two sleeves overlap');
  check(up > across / 2, 'the sleeves stand on the stiles');
  check(board - up > tube.outerDiameter / 2 + 0.02, `a keeper of ${mm(board - up)} over its holes`);
  check(
    (row.positions[0] ?? 0) > row.diameter && width - (row.positions.at(-1) ?? 0) > row.diameter,
    'a hole at the end of a rail',
  );
  for (const solid of standing)
    for (const hole of solid.holes) {
      const [block] = solid.blocks;
      const z = hole.at.z ?? 0;
      check(
        block !== undefined && z - hole.radius > block.low.z + 0.003 && z + hole.radius < block.high.z - 0.003,
        'a hole outside its rail',
      );
    }
  if (typed.sleeve === 'bottles')
    check(list.bought('bottle')?.quantity === Number(typed.bottles) * tubes, 'not all bottles are on the list');
  wrong.push(...list.left().map((words) => `left over: ${words}`));
  return wrong;
}
