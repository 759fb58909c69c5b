import { fluidState, type OperatingConditions, type Storage, storageHeat } from '../thermal';

/** Water drawn at a time of the run: s, m³, and s that it takes. */
export interface Draw {
  second: number;
  volume: number;
  duration: number;
}

export interface StorageRun {
  /** s of each sample, and °C of every part of the water then, cold end first. */
  samples: { second: number; parts: number[] }[];
  /** What each draw brought: °C, mean over it. */
  draws: { second: number; volume: number; temperature: number; cold: number }[];
  /** J: stored at the start and at the end, gathered from sun less lost, carried off by draws; and what is left unaccounted. */
  energy: { start: number; end: number; gathered: number; drawn: number; unaccounted: number };
}

/** s. A step of the run, and from one sample to the next. */
const step = 60;
const sampled = 600;
/** s that weather is held. */
const held = 600;

/**
 * Runs a store through a stretch of time: every part gathers and loses at its own temperature (`storageHeat`), draws push cold water in at
 * the cold end and the next tank's on (plug flow, upwind, each step split so that no part is passed), and in an upright tank warm water
 * under cold water changes places with it by mixing.
 *
 * @param query.start °C of all of it, or of every part, cold end first
 * @param query.at what it meets at a second, its lid shut or open
 * @param query.cold °C of what comes in when water is drawn
 */
export function runStorage(
  storage: Storage,
  query: {
    start: number | readonly number[];
    seconds: number;
    at(second: number): OperatingConditions;
    draws: readonly Draw[];
    cold(second: number): number;
  },
): StorageRun {
  const { tanks, parts: perTank, heatCapacity } = storage;
  const count = tanks * perTank;
  const parts = new Float64Array(count);
  for (let part = 0; part < count; part += 1)
    parts[part] = typeof query.start === 'number' ? query.start : (query.start[part] ?? query.start[0] ?? 0);
  const capacity = heatCapacity / count;
  const water = fluidState('water', 40);
  // kg of water that would hold what a part holds, its metal too: that stays where it is when the water moves on.
  const massOfPart = capacity / water.heatCapacity;
  const stored = () => capacity * parts.reduce((sum, part) => sum + part, 0);
  const samples: StorageRun['samples'] = [];
  const drawn: StorageRun['draws'] = [];
  const start = stored();
  let gathered = 0;
  let carried = 0;
  let heatAt = storageHeat(storage, query.at(0));
  const running = query.draws.map((draw) => ({ draw, volume: 0, heat: 0, cold: 0 }));
  for (let second = 0; second < query.seconds; second += step) {
    if (second % held === 0) heatAt = storageHeat(storage, query.at(second));
    if (second % sampled === 0) samples.push({ second, parts: [...parts] });
    for (let part = 0; part < count; part += 1) {
      const heat = (heatAt(parts[part] ?? 0) / count) * step;
      gathered += heat;
      parts[part] = (parts[part] ?? 0) + heat / capacity;
    }
    for (const one of running) {
      const { draw } = one;
      const from = Math.max(second, draw.second);
      const to = Math.min(second + step, draw.second + Math.max(1, draw.duration));
      if (to <= from) continue;
      const moved = (draw.volume * (to - from)) / Math.max(1, draw.duration);
      const cold = query.cold(second);
      carried += push(one, moved, cold);
    }
    settle(parts, tanks, perTank);
  }
  samples.push({ second: query.seconds, parts: [...parts] });
  for (const { draw, volume: taken, heat, cold } of running)
    if (taken > 0) drawn.push({ second: draw.second, volume: taken, temperature: heat / taken, cold: cold / taken });
  const end = stored();
  return {
    samples,
    draws: drawn,
    energy: { start, end, gathered, drawn: carried, unaccounted: end - start - gathered + carried },
  };

  /** Pushes so much water through; J that it carried off over the cold that came in. */
  function push(one: { volume: number; heat: number; cold: number }, moved: number, cold: number): number {
    let left = moved * water.density;
    let heat = 0;
    while (left > 1e-12) {
      const slice = Math.min(left, massOfPart / 2);
      const share = slice / massOfPart;
      const out = parts[count - 1] ?? cold;
      for (let part = count - 1; part > 0; part -= 1)
        parts[part] = (parts[part] ?? 0) + share * ((parts[part - 1] ?? 0) - (parts[part] ?? 0));
      parts[0] = (parts[0] ?? 0) + share * (cold - (parts[0] ?? 0));
      heat += slice * water.heatCapacity * (out - cold);
      const taken = slice / water.density;
      one.volume += taken;
      one.heat += taken * out;
      one.cold += taken * cold;
      left -= slice;
    }
    return heat;
  }
}

/** Warm water under cold water within a tank: the two become one, until none is left so. */
function settle(parts: Float64Array, tanks: number, perTank: number): void {
  if (perTank < 2) return;
  for (let tank = 0; tank < tanks; tank += 1)
    for (let round = 0; round < perTank; round += 1)
      for (let place = 0; place < perTank - 1; place += 1) {
        const low = tank * perTank + place;
        const [below = 0, above = 0] = [parts[low], parts[low + 1]];
        if (below <= above) continue;
        const mean = (below + above) / 2;
        parts[low] = mean;
        parts[low + 1] = mean;
      }
}
