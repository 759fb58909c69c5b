import { expect } from 'chai';
import { everyTrial } from '../../quantity/trials.fixture';
import { type Family, families, type HeaterDocument } from '..';
import { buildBatchBox } from './batchBox.fixture';
import { buildable } from './buildable.fixture';
import { buildHeatPipe } from './heatPipe.fixture';
import type { Typed } from './list.fixture';
import { CutList } from './list.fixture';
import { things } from './named.fixture';
import { buildHarp, buildSerpentine } from './plates.fixture';
import { buildRoofTube } from './roofTube.fixture';
import { buildSpiral } from './spiral.fixture';
import { buildLattice, buildTrickle } from './trays.fixture';
import { buildTrough } from './trough.fixture';

/** Designs of each kind. A fuzz takes a fresh seed, and says it. */
const designs = everyTrial ? Number(process.env.COUNT ?? 500) : 15;
const seed = everyTrial ? Number(process.env.SEED ?? 1) : 1;

const builders: Record<keyof typeof families, (list: CutList, typed: Typed) => string[]> = {
  harp: buildHarp,
  serpentine: buildSerpentine,
  trickle: buildTrickle,
  lattice: buildLattice,
  'batch-box': buildBatchBox,
  spiral: buildSpiral,
  'heat-pipe': buildHeatPipe,
  'roof-tube': buildRoofTube,
  trough: buildTrough,
};

/** Everything that was typed for a panel, its box and its pane too. */
function typedIn({ parameters, box, glazing }: HeaterDocument): Typed {
  return { ...box?.parameters, ...glazing?.parameters, ...parameters };
}

describe('closure: a panel put together again from its cut list alone', () => {
  for (const family of Object.values<Family>(families))
    it(`${family.id}: touches where it should, overlaps nowhere, and leaves no piece over, seed ${seed}`, function () {
      this.timeout(Math.max(60_000, designs * 2000));
      for (const { panel, design } of buildable(family, designs, seed)) {
        const list = new CutList(panel.id, design.parts, design.purchases);
        const wrong = builders[family.id as keyof typeof builders](list, typedIn(panel));
        expect(wrong, JSON.stringify(panel)).deep.equal([]);
      }
    });
  for (const family of Object.values<Family>(families))
    it(`${family.id}: every piece on the list is drawn, and everything drawn is on a list`, function () {
      this.timeout(Math.max(60_000, designs * 2000));
      for (const { panel, design } of buildable(family, designs, seed)) {
        const drawn = new Set(
          Object.values(design.drawings).flatMap((view) => view.draw().shapes.flatMap((shape) => shape.part ?? [])),
        );
        const listed = new Set([...design.parts, ...design.purchases].map(({ id }) => id));
        expect(
          design.parts.map(({ id }) => id).filter((id) => !drawn.has(id)),
          `on the list and not drawn: ${JSON.stringify(panel)}`,
        ).deep.equal([]);
        expect(
          [...drawn].filter((id) => !listed.has(id)),
          `drawn and on no list: ${JSON.stringify(panel)}`,
        ).deep.equal([]);
      }
    });
  for (const family of Object.values<Family>(families))
    it(`${family.id}: every step but the cutting has a check with a number, and every number can be read`, function () {
      this.timeout(Math.max(60_000, designs * 2000));
      for (const { panel, design } of buildable(family, designs, seed))
        for (const { id, checks } of design.steps()) {
          const read = checks.filter(({ expects }) => expects !== undefined);
          // What is cut is counted by the job, which knows its list.
          if (!id.endsWith('/cut')) expect(read.length, `${id}: ${JSON.stringify(panel)}`).above(0);
          for (const { words, expects } of read) {
            expect(words, id).match(/[0-9]|one |half/);
            expect(Number.isFinite(expects?.value) && (expects?.value ?? -1) >= 0, words).equal(true);
            expect(expects?.within ?? -1, words).at.least(0);
          }
          expect(new Set(checks.map((one) => one.id)).size, id).equal(checks.length);
        }
    });
  for (const family of Object.values<Family>(families))
    it(`${family.id}: everything that a step names is on the list or among the tools`, function () {
      this.timeout(Math.max(60_000, designs * 2000));
      let named = 0;
      for (const { panel, design } of buildable(family, designs, seed)) {
        const steps = design.steps();
        const roles = [...design.parts, ...design.purchases].map(({ id }) => id.slice(panel.id.length + 1));
        const owned = steps.flatMap(({ needs }) => needs);
        for (const step of steps)
          for (const words of step.does)
            for (const { word, role, tool } of things) {
              if (!word.test(words)) continue;
              named += 1;
              const there = role ? roles.some((one) => role.test(one)) : owned.some((one) => tool?.test(one));
              expect(
                there,
                `${step.name}: “${words}” names what is not there (${role ?? tool}), ${JSON.stringify(panel)}`,
              ).equal(true);
            }
      }
      expect(named).above(5 * designs);
    });
});
