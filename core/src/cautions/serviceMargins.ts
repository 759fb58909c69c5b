import { loopPipes, type ServiceLimit, type SolderAlloy, serviceLimits, solderHolds } from '../catalogue';
import { storesOf } from '../document';
import { type OpenJob, stagnationConditions } from '../job';
import {
  bodyTemperature,
  hottestNormals,
  type OperatingConditions,
  type StandardNormals,
  type ThermalModel,
} from '../thermal';
import { loopBoils } from './boiling';

/** One material and the heat it meets in a dry panel on the hottest clear hour; °C, K. */
export interface ServiceMargin {
  /** Index of the panel, or nothing for the loop. */
  panel: number | undefined;
  name: string;
  /** Id of the place where it sits; `joint` and `loop` besides those of the heater. */
  place: string;
  /** What the place is called in a sentence and in a narrow column, and its number from the sun inward. */
  words: string;
  short: string;
  order: number;
  /** What it will see, and the upper edge of the band of that: the hottest that one panel in twenty still exceeds. */
  sees: number;
  high: number;
  /** What it stands for years. */
  limit: number;
  /** From the upper edge to the limit: below zero it gets too hot. */
  margin: number;
  /** Path in the job of the field that changes it. */
  path?: string;
  /** What may be planned in its place. */
  hotter?: { name: string; limit: number };
  /** The solder of a joint, and Pa that a capillary joint of it still holds there; none where no table goes. */
  joint?: { alloy: SolderAlloy; holds: number | undefined };
}

/** The solder of a heater lies with its tubes; the loop behind everything. */
const joints = { words: 'joints', short: 'joints' };
const pipes = { words: 'pipes of the loop, under steam', short: 'loop, steam' };
const behindAll = 1000;

/** A heater dry in that sun: °C by place, as it is likely and at the upper edge of its band. */
function dryPlaces(thermal: ThermalModel, boundary: OperatingConditions) {
  const at = (deviates: StandardNormals) => thermal.state({ ...boundary, massFlow: 0 }, deviates);
  return { likely: at({}), worst: at(hottestNormals(thermal, boundary)) };
}

/**
 * Every material of the heaters and, where it is known, of the loop against the heat it will meet: dry in the site's hottest
 * clear hour, nothing flowing; the loop when steam pushes its boiling water back down the pipes. Least margin first.
 */
export function serviceMargins(open: OpenJob): ServiceMargin[] {
  const { job } = open;
  let hottest = { sees: Number.NEGATIVE_INFINITY, high: Number.NEGATIVE_INFINITY };
  const rows = open.panels.flatMap(({ design }, panel): ServiceMargin[] => {
    const { thermal, materials } = design;
    const { likely, worst } = dryPlaces(thermal, stagnationConditions(job, thermal));
    hottest = {
      sees: Math.max(hottest.sees, bodyTemperature(thermal, likely)),
      high: Math.max(hottest.high, bodyTemperature(thermal, worst)),
    };
    return materials.flatMap(({ place, path, joint, hotter, ...usual }): ServiceMargin[] => {
      const { name, limit } = job.loop.hotSensor && hotter ? hotter : usual;
      const sees = likely.places[place];
      const order = thermal.places.findIndex(({ id }) => id === place);
      const here = thermal.places[order];
      if (sees === undefined || !here) throw new RangeError(`${name} lies at no place of its heater: ${place}`);
      const high = Math.max(sees, worst.places[place] ?? sees);
      const { words, short } = joint ? joints : here;
      return [
        {
          panel,
          name,
          place: joint ? 'joint' : place,
          words,
          short,
          order: joint ? order + 0.5 : order,
          sees,
          high,
          limit,
          margin: limit - high,
          ...(path ? { path } : {}),
          ...(hotter && !job.loop.hotSensor ? { hotter } : {}),
          ...(joint ? { joint: { alloy: joint, holds: solderHolds(joint, high) } } : {}),
        },
      ];
    });
  });
  const { loop } = job;
  const boils = loopBoils(open);
  const barrel = storesOf(job).find(({ kind }) => kind === 'barrel');
  const steamed = { sees: Math.min(hottest.sees, boils), high: Math.min(hottest.high, boils) };
  /** What belongs to the loop, and the heat it meets there. */
  const inLoop = ({ name, limit }: ServiceLimit, path: string, meets = steamed): ServiceMargin => ({
    panel: undefined,
    name,
    place: 'loop',
    ...pipes,
    order: behindAll,
    ...meets,
    limit,
    margin: limit - meets.high,
    path,
  });
  if (loop.pipe) rows.push(inLoop(loopPipes[loop.pipe], 'loop.pipe'));
  if (barrel) rows.push(inLoop(serviceLimits.barrel, `stores.${barrel.id}.kind`));
  // What falls back into its tank when the pump stops is not there to overheat. It stands in the heater, at its hottest.
  if (loop.glycol && loop.kind !== 'drain-back')
    rows.push(glycolMargin(open, inLoop(serviceLimits.glycol, 'loop.glycol', hottest)));
  return rows.sort((a, b) => a.margin - b.margin);
}

/** The glycol stands where its heater is hottest: at the body of the first. */
function glycolMargin({ panels: [first] }: OpenJob, margin: ServiceMargin): ServiceMargin {
  const thermal = first?.design.thermal;
  const order = thermal?.places.findIndex(({ id }) => id === thermal.body) ?? -1;
  const body = thermal?.places[order];
  return body ? { ...margin, place: body.id, words: body.words, short: body.short, order } : margin;
}
