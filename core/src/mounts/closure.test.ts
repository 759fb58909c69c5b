import { expect } from 'chai';
import * as fc from 'fast-check';
import { entry } from '../catalogue';
import { type Part, sectionOf } from '../shop';
import { type MountDesign, type MountedPanel, mounts } from '.';
import { anyParameters } from './anyMount.fixture';

const lengthOf = (part: Part | undefined) => (part?.kind === 'length' ? part.length : Number.NaN);
const pieceOf = ({ parts }: MountDesign, id: string) => parts.find((part) => part.id === `p/stand-${id}`);

/** A mount with any of its parameters under any panel. */
function anyMount(kind: keyof typeof mounts) {
  return fc
    .tuple(
      anyParameters(kind),
      fc.integer({ min: 5, max: 80 }),
      fc.double({ min: 0.6, max: 3, noNaN: true }),
      fc.double({ min: 0.5, max: 2.5, noNaN: true }),
    )
    .map(([parameters, tilt, upslope, across]) => {
      const panel: MountedPanel = {
        prefix: 'p',
        upslope,
        across,
        depth: 0.12,
        mass: 60,
        tilts: [{ name: 'all year', tilt }],
      };
      return { parameters, panel, tilt, design: mounts[kind].open(parameters).under(panel) };
    });
}

describe('closure: a stand put together again from its cut list alone', () => {
  it('ground stand: legs of the two lengths, on skids, meet one plane at the tilt, and the panel on its rails stands at the low edge', () => {
    fc.assert(
      fc.property(anyMount('ground-stand'), ({ design, tilt, panel }) => {
        const [front, rear, skid] = ['leg-front', 'leg-rear', 'skid'].map((id) => pieceOf(design, id));
        const section = front && sectionOf(front);
        if (!front || !rear || !skid || !section) throw new Error('a stand has legs and skids');
        const thick = section.thickness;
        const slope = Math.tan((tilt * Math.PI) / 180);
        // Skids go 150 past the middle of each leg; legs stand on them with their long side toward the high edge.
        const apart = lengthOf(skid) - 2 * 0.15;
        const top = (leg: Part) =>
          thick + lengthOf(leg) - (thick / 2) * Math.tan(((leg.ends?.[0]?.angle ?? 0) * Math.PI) / 180);
        expect((top(rear) - top(front)) / apart).closeTo(slope, 1e-6);
        for (const leg of [front, rear]) {
          expect(leg.ends).deep.equal([{ kind: 'bevel', end: 'far', angle: tilt, long: 'inner face' }]);
          // The short side of the bevel is still there.
          expect(lengthOf(leg) - thick * slope).above(0.029);
        }
        // Through the middle of the front leg's bevel lies the underside of the rails: the panel is a rail's thickness over it.
        const angle = (tilt * Math.PI) / 180;
        const underPanel = top(front) + thick * Math.cos(angle) - 0.15 * Math.sin(angle);
        expect(underPanel).closeTo(design.low, 1e-6);
        // A brace lapped on both legs, its bolts in the middle of each.
        const brace = pieceOf(design, 'brace');
        const lean = ((brace?.ends?.[0]?.angle ?? 0) * Math.PI) / 180;
        const [one = 0, other = 0] = brace?.holes?.[0]?.positions ?? [];
        expect((other - one) * Math.cos(lean)).closeTo(apart, 1e-6);
        expect(lengthOf(pieceOf(design, 'rail'))).closeTo(panel.across, 1e-9);
      }),
      { numRuns: 100 },
    );
  });
  it('wall bracket: the strut fills what lies between plate and rail, its end on the rail’s plane', () => {
    fc.assert(
      fc.property(anyMount('wall-bracket'), ({ design, tilt, panel, parameters }) => {
        const strut = pieceOf(design, 'strut');
        const stuff = entry('timber', String(parameters.timber));
        const angle = (tilt * Math.PI) / 180;
        // Under the lower rail, 100 up the slope, and the plate's face beyond the high edge and the upper rail.
        const foot = 0.1 * Math.cos(angle) + stuff.thickness * Math.sin(angle);
        const rail = (panel.upslope - 0.1 + stuff.width / 2) * Math.cos(angle) + stuff.thickness * Math.sin(angle);
        const face = Math.max(panel.upslope * Math.cos(angle), rail);
        const middle =
          lengthOf(strut) - (stuff.thickness / 2) * Math.tan(((strut?.ends?.[0]?.angle ?? 0) * Math.PI) / 180);
        // It clears the panel by a few millimetres and no more.
        if (lengthOf(strut) > 0.051) expect(middle - (face - foot)).within(0, 0.02);
        if (tilt >= 15) expect(strut?.ends?.[0]?.angle).closeTo(90 - tilt, 1e-9);
      }),
      { numRuns: 100 },
    );
  });
  for (const kind of Object.keys(mounts) as (keyof typeof mounts)[])
    it(`${kind}: every piece on its list is drawn, and everything drawn is on its list or the panel’s`, () => {
      fc.assert(
        fc.property(anyMount(kind), ({ design }) => {
          const drawn = new Set(design.side.shapes.flatMap(({ part }) => part ?? []));
          for (const { id } of design.parts) expect(drawn.has(id), id).equal(true);
          const listed = new Set([...design.parts, ...design.purchases].map(({ id }) => id));
          for (const id of drawn) if (id.startsWith('p/stand-')) expect(listed.has(id), id).equal(true);
        }),
        { numRuns: 40 },
      );
    });
});
