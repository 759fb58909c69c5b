import { expect } from 'chai';
import * as fc from 'fast-check';
import { wordFinding } from '../care';
import { writeSvg } from '../draw';
import { trials } from '../quantity/trials.fixture';
import type { Part } from '../shop';
import { inOrder } from '../steps';
import { fairDay } from '../thermal/plate/collector.fixture';
import { type Family, families } from '.';
import { anyPanel } from './anyPanel.fixture';

function sizesOf(part: Part): number[] {
  return part.kind === 'length' ? [part.length] : [part.width, part.height];
}

describe('families: anywhere in the whole range of every parameter', () => {
  for (const family of Object.values<Family>(families))
    it(`${family.id}: opens, draws, weighs, gains and says what is wrong, with no broken number`, () => {
      fc.assert(
        fc.property(anyPanel(family), fc.boolean(), (drawn, filled) => {
          // Most of what is drawn by chance clashes; filled to its pane much of it can be built.
          const panel = filled && family.fit ? family.fit(drawn) : drawn;
          expect(family.problems(panel)).deep.equal([]);
          const design = family.open(panel, 'heaters.panel-a');
          const { parts, purchases, findings, thermal, areas, hydraulic } = design;
          const clashes = findings.filter(({ severity }) => severity === 'clash');
          for (const part of parts) {
            expect(part.count, part.id).above(0);
            expect(part.mass, part.id).satisfy((mass: number) => Number.isFinite(mass));
            // What cannot be built may have pieces of no size; it is said, and so it need not be right.
            if (clashes.length > 0) continue;
            for (const size of sizesOf(part)) expect(size, part.id).above(0);
            if (part.kind === 'length')
              for (const at of part.holes?.flatMap(({ positions }) => positions) ?? [])
                expect(at, part.id).within(0, part.length);
            const bends = part.bends?.positions ?? [];
            bends.forEach((at, index) => {
              expect(at, part.id).above(bends[index - 1] ?? 0);
            });
          }
          for (const one of purchases) expect(Number.isFinite(one.quantity) && one.quantity >= 0, one.id).equal(true);
          for (const finding of findings) {
            const words = wordFinding(finding, family.words, 'imperial');
            expect(`${words.headline}${words.detail}${words.remedy}`).not.match(/NaN|undefined|Infinity/);
            if (typeof finding.fix === 'number') expect(Number.isFinite(finding.fix), finding.code).equal(true);
          }
          for (const { draw } of Object.values(design.drawings)) {
            expect(writeSvg(draw(), { habit: 'metric' })).not.match(/NaN|undefined|Infinity/);
            // No paper and no screen takes a width of less than nothing, and what cannot be built is drawn too.
            for (const shape of draw().shapes)
              if (shape.kind === 'rect') expect(Math.min(shape.width, shape.height), shape.part).at.least(0);
          }
          expect(inOrder(design.steps()).length).equal(design.steps().length);
          // What clashes is worked out all the same: no design takes in more than what falls through its opening.
          const state = thermal.state({ ...fairDay, massFlow: 0.02 * Math.max(0.01, thermal.apertureArea) });
          // On round pipes sky and a low sun fall from beside their breadth too: on all that faces up, at most.
          const most = thermal.acceptance.round || thermal.hasLid ? 1 : Math.PI / 2;
          expect(state.terms.absorbed).at.most(most * state.sun * (1 + 1e-9));
          expect(state.usefulHeat).at.most((state.terms.absorbed ?? 0) * (1 + 1e-6) + 1e-6);
          if (clashes.length > 0) return;
          expect(hydraulic?.volume).above(0);
          expect(areas.aperture).above(0);
          expect(areas.gross).at.least(areas.aperture * (1 - 1e-9));
          // Never more than what falls on it, and all of it goes somewhere.
          expect(state.efficiency).below(thermal.hasLid ? 1 : most);
          const told = state.paths.reduce((sum, { watts }) => sum + watts, 0);
          expect(told).closeTo(state.sun, 1e-5 * state.sun);
          // Only mirrors bring more than falls on the pane.
          const falls = fairDay.irradiance * thermal.apertureArea;
          if (thermal.hasLid) expect(state.sun).within(falls, 3 * falls);
          else expect(state.sun).closeTo(falls, 1e-9 * falls);
        }),
        { numRuns: trials(30, 150) },
      );
    });

  it('harp: the hot header mirrors the cold one, hole for hole from its own far end', () => {
    const { harp } = families;
    fc.assert(
      fc.property(anyPanel(harp), (panel) => {
        const { parts } = harp.open(panel, 'heaters.panel-a');
        const holes = (which: string) => parts.find(({ id }) => id === `p/header-${which}`)?.holes?.[0]?.positions;
        const [cold, hot] = [holes('cold'), holes('hot')];
        expect(cold?.length).equal(hot?.length);
        cold?.forEach((at, index) => {
          expect(at).closeTo(hot?.[index] ?? Number.NaN, 1e-9);
        });
      }),
      { numRuns: trials(40, 100) },
    );
  });
});
