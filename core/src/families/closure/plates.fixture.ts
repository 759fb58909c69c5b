import { bore, drillFor, elbowFor, entry, teeFor } from '../../catalogue';
import type { HoleSchedule, Part } from '../../shop';
import { type BuiltBox, buildBox } from './box.fixture';
import { type CutList, diameterOf, lengthOf, type Typed, thicknessOf } from './list.fixture';
import { pierced, type Rod, tiny } from './solids.fixture';

const mm = (metres: number) => `${(metres * 1000).toFixed(1)} mm`;

/** The large holes of a board, as places in the frame. */
function exits(list: CutList, box: BuiltBox, role: string) {
  const solid = box.solids.find(({ id }) => id === `${list.prefix}/${role}`);
  return (solid?.holes ?? []).filter(({ radius }) => radius > 0.004);
}

/** A tube let through the box: into nothing but its own holes, clear of every screw by a millimetre. */
function passes(box: BuiltBox, rod: Rod, name: string): void {
  const soft = ({ id }: { id: string }) => /\/(insulation|strip)/.test(id);
  // Wool gives by half a millimetre; a strip on edge is cut out round the tube where its work says so.
  const wool = pierced({ ...rod, radius: rod.radius - 0.0006 }, box.solids.filter(soft)).filter(
    (id) => !box.cutOut.has(id),
  );
  for (const id of [
    ...pierced(
      rod,
      box.solids.filter((one) => !soft(one)),
    ),
    ...wool,
  ])
    box.wrong.push(`${name} runs into ${id}`);
  for (const screw of box.screws) {
    const third = (['x', 'y', 'z'] as const).find((axis) => axis !== rod.axis && axis !== screw.axis);
    if (!third || screw.axis === rod.axis) continue;
    const gap = Math.abs((screw.at[third] ?? 0) - (rod.at[third] ?? 0)) - rod.radius - screw.radius;
    const along = (screw.at[rod.axis] ?? 0) > rod.from - tiny && (screw.at[rod.axis] ?? 0) < rod.to + tiny;
    const across =
      (rod.at[screw.axis] ?? 0) > screw.from - tiny - rod.radius && (rod.at[screw.axis] ?? 0) < screw.to + rod.radius;
    if (along && across && gap < 0.001) box.wrong.push(`a corner screw ${mm(gap)} from ${name}`);
  }
}

/** Strips of plate side by side between what lines the sides, and not longer than what they lie between. */
function layPlate(
  list: CutList,
  box: BuiltBox,
  at: { pitch: number; tubes: number; between: number; plateTop: number },
): void {
  const { wrong, inside } = box;
  const plates = list.parts.filter(({ id }) =>
    /\/(strip|fin|fin-rest|fin-outer|fin-rest-outer|track|track-rest|plate|absorber-board)$/.test(id),
  );
  if (plates.length === 0) wrong.push('no plate on the list');
  const lining = list.parts.find(({ id }) => id.endsWith('/strip-side'));
  const room = inside.width - 2 * (lining?.kind === 'sheet' ? lining.width : 0);
  let along = 0;
  for (const plate of plates) {
    for (let index = 0; index < plate.count; index += 1) list.take(plate.id.slice(list.prefix.length + 1));
    const outer = plate.kind === 'length' ? plate.flanges : undefined;
    if (outer) {
      // The outermost tubes reach as far out as their own outer flange.
      const reach =
        plate.id.includes('outer') || !list.has(`${plate.id.slice(list.prefix.length + 1)}-outer`)
          ? outer[0]
          : at.pitch / 2;
      if ((at.tubes - 1) * at.pitch + 2 * reach > room + tiny)
        wrong.push(`${plate.id} is ${mm((at.tubes - 1) * at.pitch + 2 * reach)} wide over all in ${mm(room)}`);
    }
    if (plate.kind === 'length') along += (plate.length * plate.count) / at.tubes;
    else if (/\/strip$/.test(plate.id)) {
      if (
        Math.min(plate.width, plate.height) * at.tubes > room + tiny &&
        Math.min(plate.width, plate.height) > at.pitch + tiny
      )
        wrong.push(`strips of ${mm(Math.min(plate.width, plate.height))} on a pitch of ${mm(at.pitch)}`);
    }
  }
  if (along > at.between + 0.05) wrong.push(`${mm(along)} of plate on ${mm(at.between)} of tube`);
  if (box.paneUnder !== undefined && at.plateTop > box.paneUnder - 0.002)
    wrong.push(`the plate is ${mm(box.paneUnder - at.plateTop)} under the pane`);
}

/** Headers through their exit holes, risers in their holes from one to the other, on the rails, under the pane. */
export function buildHarp(list: CutList, typed: Typed): string[] {
  const box = buildBox(list, typed);
  const { wrong } = box;
  const check = (fine: boolean, words: string) => {
    if (!fine) wrong.push(words);
  };
  const tees = list.has('header-piece') || list.has('header-open');
  const low = exits(list, box, 'side-low');
  const high = exits(list, box, 'side-high');
  const xs = [...new Set([...low, ...high].map(({ at }) => Math.round((at.x ?? 0) * 1e6) / 1e6))].sort((a, b) => a - b);
  check(xs.length === 2, `exit holes at ${xs.length} places along the box`);
  const [cold = 0, hot = 0] = xs;
  const riserPart = list.take('riser');
  for (let index = 1; index < riserPart.count; index += 1) list.take('riser');
  const riser = { length: lengthOf(riserPart), radius: diameterOf(riserPart) / 2, count: riserPart.count };
  const z = (low[0] ?? high[0])?.at.z ?? 0;
  const middle = box.outside.width / 2;
  const side = list.parts.find(({ id }) => id.endsWith('/side-low')) as Part;
  const slotOf = (part: Part) => Math.max(0, ...(part.holes ?? []).map(({ slot = 0 }) => slot));
  let pitch = 0;
  let header = { radius: 0, thick: 0 };
  let rows: { x: number; ys: number[]; span: [number, number] }[] = [];
  if (!tees) {
    rows = (['cold', 'hot'] as const).map((which) => {
      const part = list.take(`header-${which}`);
      const [holes] = part.holes as [HoleSchedule];
      const diameter = diameterOf(part);
      header = { radius: diameter / 2, thick: diameter };
      check(
        holes.diameter >= diameterOf(riserPart) - tiny,
        `a riser of ${mm(diameterOf(riserPart))} in a hole of ${mm(holes.diameter)}`,
      );
      check(
        holes.diameter <= drillFor(diameterOf(riserPart), entry('tube', riserPart.item).tape).diameter + 0.0006,
        'holes so wide that no solder fills them',
      );
      const first = Math.min(...holes.positions);
      const last = Math.max(...holes.positions);
      check(holes.positions.length === riser.count, `${holes.positions.length} holes for ${riser.count} risers`);
      pitch = (last - first) / Math.max(1, holes.positions.length - 1);
      const x = which === 'cold' ? cold : hot;
      // It comes out of the side that is drilled for it; its row of holes lies in the middle of the box.
      const outLow = low.some(({ at }) => Math.abs((at.x ?? 0) - x) < tiny);
      const outHigh = high.some(({ at }) => Math.abs((at.x ?? 0) - x) < tiny);
      check(outLow || outHigh, `no hole for the ${which} header`);
      // The open end is the one that is further from the row.
      const length = lengthOf(part);
      const centre = (first + last) / 2;
      const toHigh = outHigh && !(outLow && which === 'cold');
      const span: [number, number] = toHigh
        ? [middle - centre, middle - centre + length]
        : [middle + centre - length, middle + centre];
      const ys = holes.positions
        .map((at) => (toHigh ? middle - centre + at : middle + centre - at))
        .sort((a, b) => a - b);
      return { x, ys, span };
    });
  } else {
    const tee = teeFor(
      diameterOf(list.parts.find(({ id }) => id.endsWith('header-open')) as Part),
      diameterOf(riserPart),
    );
    const open = list.take('header-open');
    list.take('header-open');
    const closed = list.take('header-closed');
    list.take('header-closed');
    const between = list.has('header-piece') ? list.take('header-piece') : undefined;
    for (let index = 1; index < list.count('header-piece'); index += 1) list.take('header-piece');
    header = { radius: diameterOf(open) / 2, thick: tee.across };
    pitch = (between ? lengthOf(between) : 0) + 2 * tee.runLaying;
    check(
      list.count('header-piece') === 2 * (riser.count - 1),
      `${list.count('header-piece')} pieces between ${riser.count} tees twice`,
    );
    check(list.bought('tee')?.quantity === 2 * riser.count, 'tees and risers do not agree');
    const first = middle - ((riser.count - 1) * pitch) / 2;
    const ys = Array.from({ length: riser.count }, (_, index) => first + index * pitch);
    const last = ys[ys.length - 1] ?? 0;
    rows = [cold, hot].map((x, index) => {
      const outLow = low.some(({ at }) => Math.abs((at.x ?? 0) - x) < tiny);
      const outHigh = high.some(({ at }) => Math.abs((at.x ?? 0) - x) < tiny);
      const toHigh = outHigh && !(outLow && index === 0);
      const span: [number, number] = toHigh
        ? [first - tee.runLaying - lengthOf(closed), last + tee.runLaying + lengthOf(open)]
        : [first - tee.runLaying - lengthOf(open), last + tee.runLaying + lengthOf(closed)];
      return { x, ys, span };
    });
  }
  const [one, two] = rows;
  one?.ys.forEach((y, index) => {
    check(
      Math.abs(y - (two?.ys[index] ?? 0)) < 1e-4,
      `riser ${index + 1} is ${mm(Math.abs(y - (two?.ys[index] ?? 0)))} askew`,
    );
  });
  const stub = Number(typed.stub);
  for (const { x, span } of rows) {
    passes(box, { axis: 'y', from: span[0], to: span[1], at: { x, z }, radius: header.radius }, 'a header');
    // What it grows by when it is hot it has in its drawn-out hole; the fitting passes the hole too.
    passes(
      box,
      {
        axis: 'y',
        from: Math.max(span[0], box.wall),
        to: Math.min(span[1], box.outside.width - box.wall),
        at: { x, z },
        radius: header.thick / 2,
      },
      'a header with its fittings',
    );
    const out = Math.max(-span[0], span[1] - box.outside.width);
    check(
      Math.abs(out - Math.max(stub, typed.ends === 'crossed' ? Number(typed.farStub) : 0)) < 1e-4 ||
        Math.abs(out - stub) < 1e-4,
      `a header stands out by ${mm(out)}`,
    );
  }
  for (const hole of [...low, ...high])
    check(2 * hole.radius >= header.thick + 0.003, `an exit hole of ${mm(2 * hole.radius)} for ${mm(header.thick)}`);
  // A row of copper grows by 150 K: each end by half of it, into its hole.
  const growth = 17e-6 * 150 * ((hot - cold) / 2);
  check(
    0.002 +
      slotOf(
        side.holes?.some(({ diameter }) => diameter > 0.01)
          ? side
          : (list.parts.find(({ id }) => id.endsWith('/side-high')) as Part),
      ) >=
      growth - 2e-4,
    `headers move ${mm(growth)} in their holes`,
  );
  // Risers reach from header to header.
  if (!tees) {
    const entryDepth = (riser.length - (hot - cold - 2 * header.radius)) / 2;
    const stock = entry('tube', (list.parts.find(({ id }) => id.endsWith('header-cold')) as Part).item);
    const inner = bore(stock) / 2;
    const seals = stock.outerDiameter / 2 - Math.sqrt(inner ** 2 - riser.radius ** 2);
    check(entryDepth > seals, `risers enter ${mm(entryDepth)}, ${mm(seals)} seals`);
    check(entryDepth < bore(stock) * 0.5, `risers enter ${mm(entryDepth)} of ${mm(bore(stock))}`);
  } else {
    const tee = teeFor(2 * header.radius, 2 * riser.radius);
    check(
      Math.abs(riser.length - (hot - cold - 2 * tee.branchLaying)) < 1e-4,
      `risers ${mm(riser.length)} between tees ${mm(hot - cold - 2 * tee.branchLaying)} apart`,
    );
  }
  for (const y of one?.ys ?? []) {
    passes(
      box,
      { axis: 'x', from: cold + header.radius, to: hot - header.radius, at: { y, z }, radius: riser.radius },
      'a riser',
    );
  }
  onRails(list, box, z - riser.radius);
  check(
    z - header.thick / 2 > box.insulationTop - 0.0006,
    `headers lie ${mm(box.insulationTop - (z - header.thick / 2))} in the insulation`,
  );
  if (box.paneUnder !== undefined) check(z + header.thick / 2 < box.paneUnder - 0.004, 'headers meet the pane');
  const screws = (list.parts.find(({ id }) => id.endsWith('/back'))?.holes ?? []).filter(({ where }) =>
    where.includes('rail'),
  );
  for (const row of screws)
    for (const at of row.positions) {
      const y =
        at +
        (box.outside.width - (list.parts.find(({ id }) => id.endsWith('/back')) as Part & { kind: 'sheet' }).height) /
          2;
      const nearest = Math.min(...(one?.ys ?? []).map((riserY) => Math.abs(riserY - y)));
      check(nearest > riser.radius + 0.001, `a screw of a rail ${mm(nearest)} from a riser`);
    }
  layPlate(list, box, {
    pitch,
    tubes: riser.count,
    between: hot - cold - 2 * header.radius,
    plateTop: z + riser.radius,
  });
  return [...wrong, ...list.left().map((words) => `left over: ${words}`)];
}

function onRails(list: CutList, box: BuiltBox, tube: number): void {
  // A board lies between rails and tubes.
  const board = list.parts.find(({ id }) => id.endsWith('/absorber-board'));
  const under = tube - (board ? thicknessOf(board) : 0);
  if (box.railTop !== undefined && Math.abs(box.railTop - under) > 1e-4)
    box.wrong.push(`tubes lie ${mm(under - box.railTop)} over their rails`);
}

/** Runs between turns, the first and last out through the end boards. */
export function buildSerpentine(list: CutList, typed: Typed): string[] {
  const box = buildBox(list, typed);
  const { wrong } = box;
  const check = (fine: boolean, words: string) => {
    if (!fine) wrong.push(words);
  };
  const holes = { cold: exits(list, box, 'end-cold'), hot: exits(list, box, 'end-hot') };
  const [entryHole, ...otherCold] = [...holes.cold].sort((a, b) => (a.at.y ?? 0) - (b.at.y ?? 0));
  const exitHole = otherCold[0] ?? holes.hot[0];
  if (!entryHole || !exitHole) return [...wrong, 'no holes for the way in and out'];
  const z = entryHole.at.z ?? 0;
  const coil = list.has('coil') ? list.take('coil') : undefined;
  const runs = coil ? Number(typed.runs) : list.count('run') + 2;
  const tube = coil ?? list.take('run-first');
  const radius = diameterOf(tube) / 2;
  const firstY = entryHole.at.y ?? 0;
  const lastY = exitHole.at.y ?? 0;
  const pitch = (lastY - firstY) / (runs - 1);
  check(Math.abs((firstY + lastY) / 2 - box.outside.width / 2) < 1e-4, 'runs do not lie in the middle of the box');
  check((runs % 2 === 0) === (holes.hot.length === 0), 'an even number of runs comes out where it went in');
  check(2 * entryHole.radius >= 2 * radius + 0.003, 'the exit hole is too tight to slide in');
  const stub = Number(typed.stub);
  const elbow = elbowFor(2 * radius);
  if (!coil) {
    const last = list.take('run-last');
    for (let index = 0; index < list.count('run'); index += 1) list.take('run');
    for (let index = 0; index < list.count('stub'); index += 1) list.take('stub');
    const run = list.parts.find(({ id }) => id.endsWith('/run'));
    // Straight ends: the first run begins a stub outside the cold end.
    const to = lengthOf(tube) - stub;
    const from =
      runs % 2 === 0
        ? to - (run ? lengthOf(run) : Number(typed.runLength))
        : box.outside.length + stub - lengthOf(last);
    if (runs % 2 === 0)
      check(Math.abs(lengthOf(last) - lengthOf(tube)) < tiny, 'first and last run do not end together');
    if (run)
      check(
        Math.abs(lengthOf(run) - (to - from)) < 1e-4,
        `runs of ${mm(lengthOf(run))} where ${mm(to - from)} lie between the turns`,
      );
    const part = list.parts.find(({ id }) => id.endsWith('/stub'));
    const laying =
      Number(typed.dryPitch) > Number(typed.dryStub) && Number(typed.dryStub) > 0
        ? (Number(typed.dryPitch) - Number(typed.dryStub)) / 2
        : elbow.laying;
    if (part) {
      check(
        Math.abs(lengthOf(part) + 2 * laying - pitch) < 1e-4,
        `a stub of ${mm(lengthOf(part))} on elbows for a pitch of ${mm(pitch)}`,
      );
      check(part.count === runs - 1, `${part.count} stubs for ${runs - 1} turns`);
      check(list.bought('elbow')?.quantity === 2 * (runs - 1), 'elbows do not agree with the turns');
    }
    // A turn takes a laying length and half a fitting beyond the straight; a formed one its radius and half the tube.
    const reach = typed.bend === 'formed-u' ? Number(typed.bendRadius) + radius : laying + elbow.across / 2;
    const lined = list.parts.find(({ id }) => id.endsWith('/strip-end'));
    const room = lined?.kind === 'sheet' ? lined.width : 0;
    check(from - reach > box.wall + room - tiny, `turns ${mm(box.wall + room - (from - reach))} in the cold end`);
    check(to + reach < box.outside.length - box.wall - room + tiny, 'turns in the hot end');
    layPlate(list, box, { pitch, tubes: runs, between: to - from, plateTop: z + radius });
  } else {
    const bends = Number(typed.bendRadius);
    check(pitch >= 2 * Math.max(bends, 8 * radius) - 1e-4, 'a bend tighter than the tube takes');
    layPlate(list, box, { pitch, tubes: runs, between: box.inside.length, plateTop: z + radius });
  }
  for (let index = 0; index < runs; index += 1) {
    const out = index === 0 ? 'cold' : index === runs - 1 ? (holes.hot.length > 0 ? 'hot' : 'cold') : undefined;
    passes(
      box,
      {
        axis: 'x',
        from: out === 'cold' ? -stub : box.wall + 0.03,
        to: out === 'hot' ? box.outside.length + stub : box.outside.length - box.wall - 0.03,
        at: { y: firstY + index * pitch, z },
        radius,
      },
      `run ${index + 1}`,
    );
  }
  onRails(list, box, z - radius);
  return [...wrong, ...list.left().map((words) => `left over: ${words}`)];
}
