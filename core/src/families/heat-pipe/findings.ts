import { type Finding, finding, type Words } from '../../care';
import { bore } from '../../catalogue';
import { dryOutTemperature, steamPressure } from '../../thermal';
import type { Orientation } from '../family';
import type { HeatPipeLayout } from './layout';
import { leastTilt } from './parameters';

const up = (metres: number) => Math.ceil(metres * 1000 - 1e-6) / 1000;
const down = (metres: number) => Math.floor(metres * 1000 + 1e-6) / 1000;
const atmosphere = 101_325;
/** m. Room between two sleeves, and between the mouths of two tees. */
const between = 0.002;
/** m. A strip clears its bottle by so much in all. */
const stripRoom = 0.006;
/** m. The far wall of the manifold is not touched. */
const clear = 0.002;
/** °C. Soft solder has no rating above it (ASME B16.22). */
const softLimit = 121;

/** Pa over the air outside, in a sealed tube with water in it at a temperature (°C). */
export function pressureInside(temperature: number): number {
  return steamPressure(Math.min(350, temperature)) - atmosphere;
}

/**
 * Clashes, dangers and cautions of a bank of heat pipes.
 *
 * @param hottest °C of a pipe in full sun with nothing drawn
 */
export function heatPipeFindings(
  path: string,
  layout: HeatPipeLayout,
  hottest: number,
  standing?: Orientation,
): Finding[] {
  const { parameters, tube, manifold, tee, sleeved, rail, hole } = layout;
  const at = (name: string) => `${path}.parameters.${name}`;
  const found: Finding[] = [];
  const clash = (code: string, name: string, values: Finding['values'], fix?: Finding['fix']) =>
    found.push(finding.clash(code, at(name), values, { ...(fix === undefined ? {} : { fix }) }));
  if (tube.outerDiameter > 0.7 * manifold.outerDiameter)
    clash('pipe-too-wide-for-manifold', 'tube', { pipe: tube.outerDiameter, manifold: manifold.outerDiameter });
  const room = bore(manifold) - clear;
  if (parameters.immersion > room + 1e-9)
    clash('tip-meets-wall', 'immersion', { tip: parameters.immersion, most: room }, down(room));
  const tees = 2 * (tee.runLaying + tee.runSocket) + between;
  const sleeves = sleeved ? parameters.bottleDiameter + between : 0;
  if (parameters.tubes > 1 && parameters.pitch < Math.max(tees, sleeves) - 1e-9)
    clash(
      'pipes-too-close',
      'pitch',
      { pitch: parameters.pitch, least: Math.max(tees, sleeves), what: sleeves > tees ? 'sleeves' : 'tees' },
      up(Math.max(tees, sleeves)),
    );
  if (parameters.lap > parameters.bottleHeight / 2)
    clash(
      'lap-eats-bottle',
      'lap',
      { lap: parameters.lap, height: parameters.bottleHeight },
      down(parameters.bottleHeight / 4),
    );
  const longest = Math.max(...tube.lengths);
  if (layout.length > longest) clash('pipe-too-long', 'bottles', { length: layout.length, most: longest });
  const boards = Math.min(Math.max(...rail.lengths), 6);
  if (layout.width > boards) clash('bank-too-wide', 'tubes', { width: layout.width, most: boards });
  const stiles = Math.max(...layout.stile.lengths);
  if (layout.outside.length > stiles)
    clash('stile-too-long', 'bottles', { length: layout.outside.length, most: stiles });
  // A sleeve hangs over the rails' height of wood; it must not stand on the stiles.
  const { strip } = layout;
  const inside = parameters.bottleDiameter - stripRoom;
  if (strip && sleeved && strip.width > inside + 1e-9)
    clash('strip-meets-bottle', 'strip', { strip: strip.width, most: inside }, Math.max(0, down(inside)));
  if (strip && strip.width > parameters.pitch - between)
    clash(
      'strips-meet',
      'strip',
      { strip: strip.width, pitch: parameters.pitch },
      Math.max(0, down(parameters.pitch - between)),
    );
  const under = layout.stile.thickness + hole.up - (sleeved ? parameters.bottleDiameter / 2 : tube.outerDiameter / 2);
  if (under < layout.stile.thickness + between - 1e-9)
    clash('sleeve-meets-stile', 'rail', {
      rail: rail.width,
      sleeve: sleeved ? parameters.bottleDiameter : tube.outerDiameter,
    });
  if (parameters.caps === 'soft')
    found.push(
      finding.stop(
        'soft-caps',
        at('caps'),
        { hottest, limit: softLimit, pressure: pressureInside(hottest) },
        { measure: pressureInside(hottest), fix: 'brazed' },
      ),
    );
  found.push(
    finding.stop(
      'sealed-wet-tube',
      at('caps'),
      {
        hottest,
        pressure: pressureInside(hottest),
        at150: pressureInside(150),
        at180: pressureInside(180),
        charge: layout.charge,
      },
      { measure: pressureInside(hottest) },
    ),
  );
  if (standing && standing.tilt < leastTilt - 1e-9)
    found.push(
      finding.clash('pipes-too-flat', standing.path ?? 'site.standing.tilts', {
        tilt: standing.tilt,
        least: leastTilt,
      }),
    );
  const dry = dryOutTemperature(layout.charge, layout.volume);
  if (dry < hottest)
    found.push(finding.caution('charge-dries-out', at('charge'), { dry, hottest, share: parameters.charge }));
  if (parameters.charge > 40)
    found.push(finding.caution('charge-floods', at('charge'), { share: parameters.charge }, { fix: 25 }));
  const drawn = bore(tube);
  if (parameters.fill > 0 && Math.abs(layout.bore / drawn - 1) > 0.1)
    found.push(
      finding.caution('fill-far-off', at('fill'), { fill: parameters.fill, bore: layout.bore, drawn }, { fix: 0 }),
    );
  return found;
}

export const heatPipeWords: Record<string, Words> = {
  'pipe-too-wide-for-manifold': (values, say) => ({
    headline: 'pipe too wide for the manifold',
    detail: `A branch of ${say.length(values.number('pipe'))} on a run of ${say.length(values.number('manifold'))} leaves no way for the water past the tips.`,
    remedy: 'Take a wider manifold or a thinner pipe.',
  }),
  'tip-meets-wall': (values, say) => ({
    headline: 'tip meets the far wall',
    detail: `A tip ${say.length(values.number('tip'))} into a bore that gives ${say.length(values.number('most'))} shuts the manifold.`,
    remedy: 'Let it in less far, or take a wider manifold.',
  }),
  'pipes-too-close': (values, say) => ({
    headline: `${values.text('what')} do not go side by side`,
    detail: `Pipes are ${say.length(values.number('pitch'))} apart; ${values.text('what')} need ${say.length(values.number('least'))}.`,
    remedy: 'Set them further apart.',
  }),
  'strip-meets-bottle': (values, say) => ({
    headline: 'strip wider than its bottle',
    detail: `A strip of ${say.length(values.number('strip'))} does not turn in a bottle that leaves ${say.length(values.number('most'))}.`,
    remedy: 'Cut it narrower.',
  }),
  'strips-meet': (values, say) => ({
    headline: 'strips lie on each other',
    detail: `Strips of ${say.length(values.number('strip'))} on pipes ${say.length(values.number('pitch'))} apart.`,
    remedy: 'Cut them narrower, or set the pipes further apart.',
  }),
  'lap-eats-bottle': (values, say) => ({
    headline: 'lap eats the bottle',
    detail: `Over half of every bottle of ${say.length(values.number('height'))} would lie under the next with a lap of ${say.length(values.number('lap'))}.`,
    remedy: 'A lap of a tenth sheds the rain.',
  }),
  'pipe-too-long': (values, say) => ({
    headline: 'pipe longer than its stock',
    detail: `A pipe is ${say.length(values.number('length'))}; it is sold in ${say.length(values.number('most'))}.`,
    remedy: 'Put fewer bottles on a pipe: a joint in a sealed tube is a joint under pressure.',
  }),
  'bank-too-wide': (values, say) => ({
    headline: 'rails longer than boards are sold',
    detail: `The bank is ${say.length(values.number('width'))} wide; boards go to ${say.length(values.number('most'))}.`,
    remedy: 'Take fewer pipes, and more banks alike.',
  }),
  'stile-too-long': (values, say) => ({
    headline: 'stiles longer than boards are sold',
    detail: `The bank is ${say.length(values.number('length'))} long; boards go to ${say.length(values.number('most'))}.`,
    remedy: 'Put fewer bottles on a pipe.',
  }),
  'sleeve-meets-stile': (values, say) => ({
    headline: 'sleeves stand on the stiles',
    detail: `Holes at half the height of a rail of ${say.length(values.number('rail'))} leave no room under a sleeve of ${say.length(values.number('sleeve'))}.`,
    remedy: 'Take a higher rail.',
  }),
  'soft-caps': (values, say) => ({
    headline: 'ends that are only soft-soldered',
    detail: `A pipe in full sun stands at ${say.quantity('temperature', values.number('hottest'), 0)} and ${say.quantity('pressure', values.number('pressure'), 1)}; soft solder has no rating above ${say.quantity('temperature', values.number('limit'), 0)} and lets go at once.`,
    remedy: 'Stop: braze both ends of every pipe, or have it done.',
  }),
  'sealed-wet-tube': (values, say) => ({
    headline: 'each pipe is a sealed pressure vessel',
    detail: `${say.quantity('mass', values.number('charge'), 3)} of water sealed in. In full sun it stands at ${say.quantity('temperature', values.number('hottest'), 0)}${values.number('pressure') > 0 ? ` and ${say.quantity('pressure', values.number('pressure'), 0)} over the air outside` : ', still under the air outside'}; a flame makes it ${say.quantity('pressure', values.number('at150'), 0)} at ${say.quantity('temperature', 150, 0)} and ${say.quantity('pressure', values.number('at180'), 0)} at ${say.quantity('temperature', 180, 0)}.`,
    remedy:
      'Stop: never a flame on a capped pipe with water in it. Boil it out open, outdoors, gloved, face away, and cap it as your local code and a licensed person allow.',
  }),
  'pipes-too-flat': (values, say) => ({
    headline: 'pipes too flat to run back',
    detail: `At ${say.quantity('angle', values.number('tilt'), 0)} what condenses does not run back to the foot; ${say.quantity('angle', values.number('least'), 0)} is the least.`,
    remedy: 'Stand the bank steeper.',
  }),
  'charge-dries-out': (values, say) => ({
    headline: 'too little charge: it dries out',
    detail: `With ${values.number('share')} % of its volume all of it is steam at ${say.quantity('temperature', values.number('dry'), 0)}; in full sun a pipe comes to ${say.quantity('temperature', values.number('hottest'), 0)}.`,
    remedy: 'Leave more water in it: 15 to 25 %.',
  }),
  'charge-floods': (values) => ({
    headline: 'too much charge',
    detail: `${values.number('share')} % of the volume stands high in the pipe: it bumps when it boils and knocks at the caps.`,
    remedy: '15 to 25 % is enough.',
  }),
  'fill-far-off': (values, say) => ({
    headline: 'the fill does not go with the pipe',
    detail: `${say.quantity('mass', values.number('fill'), 3)} of water would make its bore ${say.length(values.number('bore'))}; it is sold with ${say.length(values.number('drawn'))}.`,
    remedy: 'Fill it again to the brim, no air in it, dry outside, and weigh both ways. One pipe, and not its bottle.',
  }),
};
