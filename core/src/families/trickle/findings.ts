import { type Finding, finding, type Words } from '../../care';
import { entries } from '../../catalogue';
import { glazingWords } from '../../glazings';
import { longestPane, shortestPane, type TrickleLayout, wetted } from './layout';

/** m. A thinner batten splits at its screws. Judgement. */
const leastBatten = 0.01;

/** Clashes and cautions of a trickle panel. */
export function trickleFindings(path: string, layout: TrickleLayout): Finding[] {
  const { parameters, glazing } = layout;
  const at = (name: string) => `${path}.parameters.${name}`;
  const found: Finding[] = [];
  if (parameters.lap >= parameters.height / 2)
    found.push(
      finding.clash(
        'lap-eats-can',
        at('lap'),
        { lap: parameters.lap, height: parameters.height },
        { fix: Math.floor((parameters.height / 5) * 1000) / 1000 },
      ),
    );
  const { rise, sideBoard, batten, battenHeight } = layout;
  if (rise > sideBoard.width + 1e-9) {
    const [deeper] = entries('timber')
      .filter((one) => one.tape === sideBoard.tape && one.thickness === sideBoard.thickness && one.width >= rise - 1e-9)
      .sort((a, b) => a.width - b.width);
    found.push(
      finding.clash(
        'side-too-low',
        at('sideBoard'),
        { board: sideBoard.width, needed: rise },
        { at: { x: layout.outside.length / 2, y: layout.wall / 2 }, ...(deeper ? { fix: deeper.id } : {}) },
      ),
    );
  }
  const [broad, narrow] = [
    Math.max(battenHeight, parameters.gapBetween),
    Math.min(battenHeight, parameters.gapBetween),
  ];
  const beside = { x: layout.outside.length / 2, y: layout.wall + parameters.gapBetween / 2 };
  if (parameters.gapBetween < leastBatten - 1e-9)
    found.push(
      finding.clash(
        'batten-too-thin',
        at('gapBetween'),
        { gap: parameters.gapBetween, least: leastBatten },
        { at: beside, fix: leastBatten },
      ),
    );
  else if (
    broad > Math.max(batten.width, batten.thickness) + 1e-9 ||
    narrow > Math.min(batten.width, batten.thickness) + 1e-9
  ) {
    const most = battenHeight <= Math.min(batten.width, batten.thickness) ? batten.width : batten.thickness;
    const [stouter] = entries('timber')
      .filter(
        (one) =>
          one.tape === batten.tape && one.width < 0.06 && one.width >= broad - 1e-9 && one.thickness >= narrow - 1e-9,
      )
      .sort((a, b) => a.width * a.thickness - b.width * b.thickness);
    found.push(
      finding.clash(
        'batten-not-in-stock',
        stouter ? at('batten') : at('gapBetween'),
        { wide: parameters.gapBetween, high: battenHeight, batten: batten.name },
        { at: beside, ...(stouter ? { fix: stouter.id } : { fix: Math.floor(most * 1000 + 1e-6) / 1000 }) },
      ),
    );
  }
  const longest = Math.max(layout.outside.length, layout.outside.width);
  if (glazing.cover && longest > longestPane)
    found.push(
      finding.clash(
        'no-such-pane',
        at(layout.outside.length > longestPane ? 'cans' : 'strips'),
        { side: longest, most: longestPane },
        { at: { x: layout.outside.length / 2, y: layout.outside.width / 2 } },
      ),
    );
  found.push(...glazing.findings(path, parameters.airGap));
  const shortest = Math.min(layout.outside.length, layout.outside.width);
  if (glazing.cover && shortest < shortestPane)
    found.push(
      finding.clash(
        'pane-too-small',
        at(layout.outside.length < shortestPane ? 'cans' : 'strips'),
        { side: shortest, least: shortestPane },
        { at: { x: layout.outside.length / 2, y: layout.outside.width / 2 } },
      ),
    );
  if (parameters.film === 'open' && glazing.cover)
    found.push(finding.caution('film-steams', at('film'), { share: layout.share }));
  if (parameters.wetting === 'plain')
    found.push(finding.note('runs-in-streaks', at('wetting'), { plain: wetted.plain, dimpled: wetted.dimpled }));
  return found;
}

export const trickleWords: Record<string, Words> = {
  ...glazingWords,
  'lap-eats-can': (values, say) => ({
    headline: 'lap eats the can',
    detail: `Half of every can of ${say.length(values.number('height'))} would lie under the next with a lap of ${say.length(values.number('lap'))}.`,
    remedy: 'A lap of a tenth to a fifth of the can sheds the water.',
  }),
  'side-too-low': (values, say) => ({
    headline: 'side lower than what it holds',
    detail: `What lies under the cover is ${say.length(values.number('needed'))} high from the back; the side board is ${say.length(values.number('board'))}.`,
    remedy: 'Take a wider side board, or less air under the cover.',
  }),
  'batten-too-thin': (values, say) => ({
    headline: 'batten too thin for a screw',
    detail: `A batten ${say.length(values.number('gap'))} thick splits; ${say.length(values.number('least'))} is the least.`,
    remedy: 'Set the strips further apart.',
  }),
  'batten-not-in-stock': (values, say) => ({
    headline: 'batten larger than its stock',
    detail: `Battens are ${say.length(values.number('wide'))} by ${say.length(values.number('high'))}; that does not come out of ${values.text('batten')}.`,
    remedy: 'Take stouter stock, or set the strips closer.',
  }),
  'no-such-pane': (values, say) => ({
    headline: 'no such pane is sold',
    detail: `The panel is ${say.length(values.number('side'))} on a side; panes go to ${say.length(values.number('most'))}.`,
    remedy: 'Take fewer cans or strips, and more panels alike.',
  }),
  'pane-too-small': (values, say) => ({
    headline: 'no pane is sold so small',
    detail: `The tray is ${say.length(values.number('side'))} on a side; panes begin at ${say.length(values.number('least'))}.`,
    remedy: 'Take more cans or strips, or leave it bare.',
  }),
  'film-steams': (values) => ({
    headline: 'the film steams onto the cover',
    detail: `${Math.round(100 * values.number('share'))} % of the face is wet and open: its steam carries heat to the cover and clouds it.`,
    remedy: 'Seal the film under a second skin, or keep the water barely warm.',
  }),
  'runs-in-streaks': (values) => ({
    headline: 'water runs in streaks',
    detail: `On plain cans the film covers about ${Math.round(100 * values.number('plain'))} % of the face; dimpled or under gauze about ${Math.round(100 * values.number('dimpled'))} %. Pour and look.`,
    remedy: 'Dimple the cans over a mesh, or lay gauze on them.',
  }),
};
