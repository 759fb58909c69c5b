import { type Finding, finding, type Words } from '../../care';
import { glazingWords } from '../../glazings';
import { weighs } from '../../quantity';
import type { LatticeLayout } from './layout';
import { portFlange, portHole } from './pieces';

/** m. Least height of a lath that holds a screw. */
const leastLath = 0.008;
/** m. Head of an ultra-low machine screw of 4 mm, and the water over it. Trade. */
const portHead = 0.0012;
const overHead = 0.0003;

/** Clashes and cautions of a lattice. */
export function latticeFindings(path: string, layout: LatticeLayout): Finding[] {
  const { parameters, mostHead, atFoot, held, bolts, glazing } = layout;
  const at = (name: string) => `${path}.parameters.${name}`;
  const found: Finding[] = [];
  if (parameters.head > mostHead)
    found.push(
      finding.clash(
        'head-too-high',
        at('head'),
        { head: parameters.head, most: mostHead, stress: atFoot.stress, pull: atFoot.pull, bow: atFoot.bow },
        { at: bolts[0] ?? { x: 0, y: 0 }, fix: Math.max(0.1, Math.floor(mostHead * 20) / 20) },
      ),
    );
  if (held.pitch < parameters.washer + 0.004)
    found.push(
      finding.clash(
        'washers-meet',
        at('boltPitch'),
        { pitch: held.pitch, washer: parameters.washer },
        { fix: Math.ceil((parameters.washer + 0.006) * 1000) / 1000 },
      ),
    );
  if (glazing.cover && atFoot.bow + 0.005 > parameters.airGap)
    found.push(
      finding.clash(
        'bow-meets-cover',
        at('airGap'),
        { bow: atFoot.bow, gap: parameters.airGap },
        { fix: Math.ceil((atFoot.bow + 0.008) * 1000) / 1000 },
      ),
    );
  found.push(...glazing.findings(path, parameters.airGap));
  const { rimBar, lathHeight, grid, ports } = layout;
  if (rimBar.width < parameters.rim - 1e-9)
    found.push(
      finding.clash(
        'rim-bar-not-sold',
        at('rim'),
        { rim: parameters.rim, most: rimBar.width },
        { at: { x: parameters.length / 2, y: parameters.rim / 2 }, fix: rimBar.width },
      ),
    );
  if (glazing.cover && lathHeight < leastLath - 1e-9)
    found.push(
      finding.clash(
        'lath-too-thin',
        at('airGap'),
        { gap: parameters.airGap, bar: rimBar.thickness, least: leastLath },
        {
          at: { x: parameters.length / 2, y: parameters.rim / 2 },
          fix: Math.ceil((rimBar.thickness + leastLath) * 1000 - 1e-6) / 1000,
        },
      ),
    );
  // The flange of a port lies inside its field, clear of the washers at its corners.
  const diagonal = Math.hypot(grid.along, grid.across) / 2;
  const [port] = ports;
  const toBolts = diagonal - parameters.washer / 2 - portFlange / 2;
  if (port && (toBolts < -1e-9 || Math.min(grid.along, grid.across) < portHole + 0.004))
    found.push(
      finding.clash(
        'port-meets-bolts',
        at('boltPitch'),
        { grid: Math.min(grid.along, grid.across), flange: portFlange, washer: parameters.washer },
        { at: port },
      ),
    );
  if (parameters.gasket < portHead + overHead - 1e-9)
    found.push(
      finding.clash(
        'port-screws-too-thick',
        at('gasket'),
        { gap: parameters.gasket, head: portHead },
        { at: port ?? { x: 0, y: 0 }, fix: portHead + overHead },
      ),
    );
  found.push(finding.note('lattice-vacuum', at('ports'), { head: parameters.head }));
  return found;
}

export const latticeWords: Record<string, Words> = {
  ...glazingWords,
  'head-too-high': (values, say) => ({
    headline: 'more head than the bolts hold',
    detail: `Water ${say.length(values.number('head'))} over the foot pulls each bolt with ${say.quantity('mass', weighs(values.number('pull')), 1)}, bows each sheet ${say.quantity('length', values.number('bow'), 1)} and strains it with ${say.quantity('stress', values.number('stress'), 0)}; it bears ${say.length(values.number('most'))} for years.`,
    remedy:
      'Set the bolts closer, take thicker sheet or wider washers, or hang the barrel lower. A metre of water is nearly a tonne on every square metre.',
  }),
  'washers-meet': (values, say) => ({
    headline: 'washers meet',
    detail: `Washers of ${say.length(values.number('washer'))} on a grid of ${say.length(values.number('pitch'))} leave the water no way.`,
    remedy: 'Set the bolts wider or take smaller washers.',
  }),
  'bow-meets-cover': (values, say) => ({
    headline: 'the bow meets the cover',
    detail: `The front bows ${say.length(values.number('bow'))}; the cover is ${say.length(values.number('gap'))} off.`,
    remedy: 'Raise the cover, or set the bolts closer.',
  }),
  'rim-bar-not-sold': (values, say) => ({
    headline: 'no rim bar is so wide',
    detail: `The rim is ${say.length(values.number('rim'))}; flat bar goes to ${say.length(values.number('most'))}.`,
    remedy: 'Take a narrower rim.',
  }),
  'lath-too-thin': (values, say) => ({
    headline: 'no room for laths',
    detail: `Under a gap of ${say.length(values.number('gap'))} the rim bar of ${say.length(values.number('bar'))} leaves a lath less than ${say.length(values.number('least'))}.`,
    remedy: 'Raise the cover.',
  }),
  'port-meets-bolts': (values, say) => ({
    headline: 'ports meet bolts',
    detail: `A flange is ${say.length(values.number('flange'))} across; between washers of ${say.length(values.number('washer'))} on a grid of ${say.length(values.number('grid'))} there is no room for one.`,
    remedy: 'Set the bolts wider or take smaller washers.',
  }),
  'port-screws-too-thick': (values, say) => ({
    headline: 'screws of the ports do not lie between the sheets',
    detail: `Between the sheets there are ${say.quantity('length', values.number('gap'), 1)}; the lowest heads that are sold are ${say.quantity('length', values.number('head'), 1)}, and water must pass over them.`,
    remedy: 'Take a thicker gasket.',
  }),
  'lattice-vacuum': () => ({
    headline: 'let air in before it drains',
    detail: 'Water that runs out of a closed lattice sucks its sheets flat, and the barrel’s weight is on the way in.',
    remedy: 'Put an air cock at the top, and open it before the drain.',
  }),
};
