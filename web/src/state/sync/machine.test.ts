import { everyTrial } from '@north-pane/core/fixtures/trials';
import { expect } from 'chai';
import * as fc from 'fast-check';
import { keptSchedules } from './keptSchedules.fixture';
import { World } from './world.fixture';

/** How many schedules, and from which seed: `npm run fuzz -- sync 500000` takes more of them and prints its seed. */
const schedules = everyTrial ? Number(process.env.COUNT ?? 500_000) : 5000;
const seed = everyTrial ? Number(process.env.SEED ?? 1616) : 1616;

describe('sync: windows and a server that fails', function () {
  this.timeout(0);

  for (const { fault, windows, schedule } of keptSchedules)
    it(`a schedule that found a fault once goes through: ${fault}`, () => {
      const world = new World(windows);
      for (const [what, who, which] of schedule) world.happen(what, who, which);
      world.comeToRest();
      expect(world.look()).deep.equal([]);
    });

  it(`${schedules} schedules: nothing that was set is lost, nothing waits for ever, undo is one's own, all end alike`, () => {
    const counts = Object.fromEntries(Object.keys(new World().counts).map((what) => [what, 0]));
    fc.assert(
      fc.property(
        // Two windows meet most often; up to seven are there now and then.
        fc.oneof({ weight: 3, arbitrary: fc.constant(2) }, { weight: 2, arbitrary: fc.integer({ min: 3, max: 7 }) }),
        fc.array(fc.tuple(fc.nat(19), fc.nat(41), fc.nat(23)), { minLength: 30, maxLength: 120, size: 'max' }),
        (windows, schedule) => {
          const world = new World(windows);
          for (const [what, who, which] of schedule) world.happen(what, who, which);
          world.comeToRest();
          const wrong = world.look();
          for (const [what, count] of Object.entries(world.counts)) counts[what] = (counts[what] ?? 0) + count;
          if (wrong.length > 0) throw new Error(wrong.join('; '));
        },
      ),
      { numRuns: schedules, seed },
    );
    // The schedules reach what they are for.
    for (const [what, count] of Object.entries(counts)) expect(count / schedules, what).above(0.02);
  });
});
