import type { Finding, Words } from '../care';
import { sunPosition } from '../sky';
import { fluidState } from '../thermal';
import { clearOnPane, type Plant } from './predict';
import { type Reading, skyShares } from './reading';
import { isStore, meanOf } from './warmUp';

/** K. A pair of thermometers may say so much with nothing behind it: two that disagree by their own errors. */
const leastMeant = 1.5;
/** Degrees that the sun must be under the horizon for it to be night: haze still glows above that. */
const night = -3;
/** W/m² that no instrument shows by night by its own error. */
const dark = 25;
/** W/m² of sun in which no panel cools its water, unless that goes in far warmer than the air. */
const strong = 300;
/** K of water in over air up to which that holds. */
const farWarmer = 30;
/** W/m² of pane that a warm panel may give up of what it holds, when the sun has all but gone. */
const stored = 60;
/** Share of the clear sky's sun above which no heat can be: pane edges and cloud edges bring a little more. */
const most = 1.15;

/**
 * What in a reading can hardly have been: warmer out than in by night, more heat than the sun brings, colder out than in under
 * a strong sun. Each is a question to whoever took it, before it is kept; none is a refusal.
 *
 * @param aperture m² of pane of all panels
 * @param placed false while nobody has named the place: then nothing is known of its night
 */
export function readingDoubts(plant: Plant, reading: Reading, query: { aperture: number; placed: boolean }): Finding[] {
  const { latitude, longitude, elevation, fluid } = plant;
  const gain = reading.outlet - reading.inlet;
  const found: Finding[] = [];
  const doubt = (code: string, values: Finding['values']) =>
    found.push({ code, severity: 'caution', path: 'reading', values });
  if (reading.inlet < 0 && !fluid) doubt('water-below-freezing', { inlet: reading.inlet });
  // Water of a store comes as it was stored, by night too, and far faster than the sun brought it.
  const runs = reading.flow > 0 && !isStore(plant);
  if (isStore(plant) && gain < -leastMeant) doubt('ends-swapped', { colder: -gain });
  if (!query.placed) return found;
  const { zenith } = sunPosition({ at: new Date(reading.time), latitude, longitude, elevation });
  const height = 90 - zenith;
  if (height < night) {
    if ((reading.irradiance ?? 0) > dark) doubt('sun-by-night', { sun: reading.irradiance ?? 0, under: -height });
    if (runs && gain > leastMeant && reading.outlet > reading.air) doubt('warm-by-night', { gain, under: -height });
    return found;
  }
  const clear = clearOnPane(plant, reading.time).total;
  const sky = reading.sky ? skyShares[reading.sky] : undefined;
  const sun = reading.irradiance ?? (sky ? sky.high * clear : undefined);
  if (sun === undefined) return found;
  if (sun > strong && runs && gain < -leastMeant && reading.inlet < reading.air + farWarmer)
    doubt('colder-in-sun', { gain: -gain, sun });
  if (runs && gain > leastMeant) {
    const { density, heatCapacity } = fluidState(fluid ?? 'water', meanOf(reading));
    const heat = reading.flow * density * heatCapacity * gain;
    const brought = most * Math.max(sun, stored) * query.aperture;
    if (heat > brought) doubt('more-than-sun', { heat, sun: sun * query.aperture });
  }
  return found;
}

/** Words of each doubt. */
export const doubtWords: Record<string, Words> = {
  'water-below-freezing': (values, say) => ({
    headline: 'water colder than ice',
    detail: `Water in at ${say.quantity('temperature', values.number('inlet'))}, and no glycol in this loop.`,
    remedy: 'Look at the thermometer again, and whether it was °C or °F.',
  }),
  'ends-swapped': (values, say) => ({
    headline: 'the hot end is the colder one',
    detail: `It stands ${say.quantity('temperatureDifference', values.number('colder'))} under the cold end: warm water rises and stays on top.`,
    remedy: 'The two may have been swapped, or one thermometer hangs in the air.',
  }),
  'sun-by-night': (values, say) => ({
    headline: 'sun after dark',
    detail: `${say.quantity('irradiance', values.number('sun'))} on the pane, with the sun ${Math.round(values.number('under'))}° under the horizon.`,
    remedy: 'Look at the clock and the time zone under Place.',
  }),
  'warm-by-night': (values, say) => ({
    headline: 'warmer by night',
    detail: `It is night: the sun is ${Math.round(values.number('under'))}° under the horizon, and the water comes out ${say.quantity('temperatureDifference', values.number('gain'))} warmer than it goes in.`,
    remedy: 'In and out may have been swapped. Or the time zone under Place is another one.',
  }),
  'colder-in-sun': (values, say) => ({
    headline: 'colder out than in, in strong sun',
    detail: `Out ${say.quantity('temperatureDifference', values.number('gain'))} colder than in.`,
    remedy: 'In and out may have been swapped, or the flow goes the other way round.',
  }),
  'more-than-sun': (values, say) => ({
    headline: 'more heat than the sun brings',
    detail: `Flow and gain make ${say.quantity('power', values.number('heat'))}; the sun on all the pane is ${say.quantity('power', values.number('sun'))} at most.`,
    remedy: 'Time the bucket again: minutes and seconds, litres and gallons are easily taken for each other.',
  }),
};
