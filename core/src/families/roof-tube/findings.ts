import { type Finding, finding, type Words } from '../../care';
import { entries, pressureDerating } from '../../catalogue';
import { fluidState } from '../../thermal';
import { cap, type RoofTubeLayout } from './layout';
import { fieldRange } from './parameters';

const up = (metres: number) => Math.ceil(metres * 1000 - 1e-6) / 1000;
/** m. A warm, full pipe of PVC sags past this from saddle to saddle. Makers of pipe: 1 to 1.2 m at 40 to 50 °C. */
const farthest = 1.2;
/** kg. Most roof racks are rated from 50 to 100 kg, moving. Trade. */
export const rackLoad = 75;
/** m. Wood that stays under a seat. */
const leastUnder = 0.035;
/** m. A saddle that the screws of an angle grip in from its face: five times their 4 mm and 2 mm left behind. */
const leastThick = 0.03;
const atmosphere = 101_325;

/**
 * J that air lets go when it bursts out of a volume (m³) at a pressure over the outside (Pa): p V / (γ − 1) [1 − (p₀ / p)^((γ − 1) / γ)],
 * without heat to it (Brode's and Baker's upper bound of it: isentropic expansion).
 */
export function airEnergy(volume: number, over: number): number {
  const gamma = 1.4;
  const absolute = over + atmosphere;
  return ((absolute * volume) / (gamma - 1)) * (1 - (atmosphere / absolute) ** ((gamma - 1) / gamma));
}

/** Clashes and dangers of pipes on a roof. */
export function roofTubeFindings(
  path: string,
  layout: RoofTubeLayout,
  at: { hottest: number; full: number },
): Finding[] {
  const { parameters, pipe, saddle, seat, span, volume, width } = layout;
  const field = (name: string) => `${path}.parameters.${name}`;
  const found: Finding[] = [];
  const clash = (code: string, name: string, values: Finding['values'], fix?: Finding['fix']) =>
    found.push(finding.clash(code, field(name), values, { ...(fix === undefined ? {} : { fix }) }));
  if (parameters.pipes > 1 && parameters.gap < cap.wide + 0.004 - 1e-9)
    clash('caps-meet', 'gap', { gap: parameters.gap, least: cap.wide + 0.004 }, up(cap.wide + 0.004));
  const longest = Math.max(...pipe.lengths);
  if (parameters.length > longest)
    clash('roof-pipe-too-long', 'length', { length: parameters.length, most: longest }, longest);
  if (span > farthest + 1e-9) {
    const needed = Math.ceil((span * (parameters.saddles - 1)) / farthest - 1e-9) + 1;
    clash(
      'saddles-too-far',
      'saddles',
      { span, most: farthest },
      needed <= fieldRange('saddles').high ? needed : undefined,
    );
  }
  if (saddle.width - seat < leastUnder - 1e-9)
    clash('saddle-too-low', 'saddle', { saddle: saddle.width, seat, least: leastUnder });
  if (saddle.thickness < leastThick - 1e-9) {
    const [stouter] = entries('timber')
      .filter(
        ({ tape, width, thickness }) => tape === saddle.tape && thickness >= leastThick && width >= saddle.width - 1e-9,
      )
      .sort((a, b) => a.width * a.thickness - b.width * b.thickness);
    clash('saddle-too-thin', 'saddle', { thickness: saddle.thickness, least: leastThick }, stouter?.id);
  }
  const boards = Math.max(...saddle.lengths);
  if (width > boards) clash('saddle-too-long', 'pipes', { width, most: boards });
  found.push(
    finding.stop(
      'air-in-plastic',
      field('draw'),
      {
        volume,
        over: 1e5,
        energy: airEnergy(volume, 1e5),
        rating: (pipe.rating ?? 0) * pressureDerating('pvc', at.hottest),
        cold: pipe.rating ?? 0,
        hottest: at.hottest,
      },
      { measure: airEnergy(volume, 1e5) },
    ),
  );
  if (at.full > rackLoad)
    found.push(finding.caution('rack-overloaded', field('length'), { full: at.full, most: rackLoad }));
  return found;
}

/** kg of water in the pipes. */
export function waterIn({ volume }: RoofTubeLayout): number {
  return volume * fluidState('water', 20).density;
}

export const roofTubeWords: Record<string, Words> = {
  'caps-meet': (values, say) => ({
    headline: 'caps meet',
    detail: `Pipes are ${say.length(values.number('gap'))} apart; their caps need ${say.length(values.number('least'))}.`,
    remedy: 'Set the pipes further apart.',
  }),
  'roof-pipe-too-long': (values, say) => ({
    headline: 'pipe longer than it is sold',
    detail: `${say.length(values.number('length'))} is asked for; it is sold in ${say.length(values.number('most'))}.`,
    remedy: 'Take a shorter one, or one more beside it.',
  }),
  'saddles-too-far': (values, say) => ({
    headline: 'saddles too far apart',
    detail: `Warm and full the pipe sags over ${say.length(values.number('span'))}; ${say.length(values.number('most'))} is the most.`,
    remedy: 'Take more saddles.',
  }),
  'saddle-too-low': (values, say) => ({
    headline: 'seat cuts the saddle through',
    detail: `A seat of ${say.length(values.number('seat'))} in a board of ${say.length(values.number('saddle'))} leaves less than ${say.length(values.number('least'))}.`,
    remedy: 'Take a higher board, or a thinner pipe.',
  }),
  'saddle-too-thin': (values, say) => ({
    headline: 'saddle too thin for its screws',
    detail: `Its angles are screwed into its face: a board of ${say.length(values.number('thickness'))} holds a screw by less than ${say.length(0.02)}; ${say.length(values.number('least'))} does. Full pipes pull at it in every bend.`,
    remedy: 'Take a thicker board.',
  }),
  'saddle-too-long': (values, say) => ({
    headline: 'saddle longer than boards are sold',
    detail: `It is ${say.length(values.number('width'))}; boards go to ${say.length(values.number('most'))}.`,
    remedy: 'Take fewer or thinner pipes.',
  }),
  'air-in-plastic': (values, say) => ({
    headline: 'never air under pressure in it, never the mains',
    detail: `${say.quantity('volume', values.number('volume'), 0)} of air at ${say.quantity('pressure', values.number('over'), 1)} holds ${Math.round(values.number('energy') / 100) / 10} kJ and throws what breaks. Rated ${say.quantity('pressure', values.number('cold'), 0)} cold for water, the pipe has ${say.quantity('pressure', values.number('rating'), 1)} left at the ${say.quantity('temperature', values.number('hottest'), 0)} of full sun.`,
    remedy: 'Stop: its vent stays open. Draw it by gravity or with a pump for water.',
  }),
  'rack-overloaded': (values, say) => ({
    headline: 'heavier than most racks carry',
    detail: `Full it is ${say.quantity('mass', values.number('full'), 0)}; most roof racks are rated for ${say.quantity('mass', values.number('most'), 0)} or less, moving.`,
    remedy: 'Read what the vehicle and its rack are rated for, and fill it where it stands.',
  }),
};
