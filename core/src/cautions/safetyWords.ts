import type { Words } from '../care';
import { hardNight } from './safety';

const stands = 'Your local code and a licensed plumber stand above this.';

export const safetyWords: Record<string, Words> = {
  'plain-water-freezes': (values, say) => ({
    headline: 'plain water freezes in it',
    detail: `Panel ${values.number('panel')} holds its water, and under a clear sky its plate stands at freezing when the air is still at ${say.quantity('temperature', values.number('air'), 0)}. Ice bursts tube and joint; insulation only delays it.`,
    remedy: `Let the loop fall empty when the pump stops, or fill it with propylene glycol. ${stands}`,
  }),
  'store-freezes': (values, say) => ({
    headline: 'mains water stands in the cold',
    detail: `Heater ${values.number('heater')} freezes once the air is at ${say.quantity('temperature', values.number('air'), 0)}; from ${say.quantity('temperature', hardNight.water, 0)} through a night at ${say.quantity('temperature', values.number('hard'), 0)} it lasts ${Number.isFinite(values.number('seconds')) ? `${Math.floor(values.number('seconds') / 3600)} hours` : 'the night'}. Its pipes and its relief valve freeze long before: insulation only delays.`,
    remedy: `Insulate and heat-trace the pipes, run them inside where you can, and drain the tanks and bypass them before the first hard frost. ${stands}`,
  }),
  'tepid-store': (values, say) => ({
    headline: 'germs grow in tepid water',
    detail: `On most days its water stands between ${say.quantity('temperature', values.number('low'), 0)} and ${say.quantity('temperature', values.number('high'), 0)}, where legionella grows.`,
    remedy: `Use it only ahead of a heater that keeps ${say.quantity('temperature', values.number('disinfects'), 0)}, mix after that, and flush it when it has stood. ${stands}`,
  }),
  'night-siphon': (values, say) => ({
    headline: 'the store may empty itself into the night',
    detail: `Under a clear sky the panel falls ${say.quantity('temperatureDifference', values.number('below'), 0)} below the air; warm water rises into it by itself, and a store is cold by morning.`,
    remedy: 'Plan a check valve, and look at it every autumn: a stuck one does the same.',
  }),
  'glycol-weak': (values, say) => ({
    headline: 'the glycol is thin',
    detail: `${Math.round(100 * values.number('share'))} % of glycol begins to freeze at ${say.quantity('temperature', values.number('freezes'), 0)}.`,
    remedy: `40 % holds to ${say.quantity('temperature', values.number('wanted'), 0)}; look at the coldest night you know, and test it every autumn.`,
  }),
  'no-relief': (values, say) => ({
    headline: 'no relief valve is planned',
    detail: `Water that is locked in gains ${say.quantity('pressure', values.number('gains'))} a kelvin, and a closed panel in the sun boils at ${say.quantity('temperature', values.number('boils'), 0)}: it bursts, with steam.`,
    remedy: `A new temperature-and-pressure relief valve that nothing can shut off, never a used one; its outlet full bore, falling, open at its end and away from people. No valve may shut both ends of a panel. ${stands}`,
  }),
  'no-expansion': (values, say) => ({
    headline: 'nowhere for the water to grow',
    detail: `From cold to hot the panels’ water alone grows by ${say.quantity('volume', values.number('grows'), 2)}, the store’s besides.`,
    remedy: `Plan an expansion vessel sized for all of it. ${stands}`,
  }),
  'barrel-under-pressure': (values, say) => ({
    headline: 'a barrel under mains pressure',
    detail: `A barrel of ${say.quantity('volume', values.number('volume'), 0)} is made to stand open: mains pressure bursts it.`,
    remedy: `Keep the barrel vented and the mains off it, or take a tank rated for the pressure. ${stands}`,
  }),
  'plastic-under-pressure': (values, say) => ({
    headline: `${values.text('pipe') === 'pvc' ? 'PVC pipe' : 'hose'} under pressure`,
    detail: `At ${say.quantity('temperature', 60, 0)} PVC holds 0.22 of its cold rating and nothing beyond; hose holds less.`,
    remedy: `Copper, and rated fittings, wherever sun-hot water is under pressure. ${stands}`,
  }),
  'starts-on-hot-plate': (values, say) => ({
    headline: 'the pump may start onto a hot plate',
    detail: `Dry in full sun the plate reaches ${say.quantity('temperature', values.number('plate'), 0)}; water that meets more than ${say.quantity('temperature', values.number('most'), 0)} flashes to steam, scalds and breaks joints and pane.`,
    remedy: 'Plan a controller that does not start above that, and fill in the evening or with the panel covered.',
  }),
  scalds: (values, say) => ({
    headline: 'hot enough to scald',
    detail: `The panel can bring ${say.quantity('temperature', values.number('plate'), 0)}; ${say.quantity('temperature', values.number('scalds'), 0)} scalds in 5 seconds, a child in half of that.`,
    remedy: `Plan a thermostatic mixing valve whose inlet stands that heat. ${stands}`,
  }),
  'hose-scalds': (values, say) => ({
    headline: 'the first litre of a hose scalds',
    detail: `Water that has lain in a hose in the sun can pass ${say.quantity('temperature', values.number('scalds'), 0)}.`,
    remedy: 'Let the first litre run away before anybody stands under it, or run copper that is insulated.',
  }),
  legionella: (values, say) => ({
    headline: 'germs grow in a lukewarm store',
    detail: `Between ${say.quantity('temperature', values.number('low'), 0)} and ${say.quantity('temperature', values.number('high'), 0)} legionella grows, and a shower is breathed in. This store is wanted at ${say.quantity('temperature', values.number('target'), 0)}.`,
    remedy: `Draw the shower’s water through a coil in the store, or heat all of it to ${say.quantity('temperature', values.number('disinfects'), 0)} before it is used, mix at the outlet and flush what has stood. ${stands}`,
  }),
  'glycol-by-drinking-water': (values) => ({
    headline: 'glycol beside drinking water',
    detail: `The loop holds ${Math.round(100 * values.number('share'))} % of glycol: one leak in a coil brings it into the water that is drunk.`,
    remedy: `Propylene glycol only, a coil with a double wall that shows its leak, and a backflow preventer. ${stands}`,
  }),
  'never-drunk': (values) => ({
    headline: `${values.text('what')}: never for drinking`,
    detail: `Water that runs over ${values.text('what')} takes up what nobody has tested: none of it may be drunk, at any dilution.`,
    remedy: `Keep it in a loop of its own and draw what is drunk through a coil. ${stands}`,
  }),
  'lead-free': (values) => ({
    headline: 'lead-free everywhere',
    detail: `The water that is drunk runs through every joint: solder, fittings and valves may hold ${values.number('share')} % of lead at the most.`,
    remedy: `Tin-antimony or tin-copper solder, flux that washes off, fittings marked for drinking water; or draw what is drunk through a coil. ${stands}`,
  }),
  'hose-not-drunk': (values, say) => ({
    headline: 'no drinking water through a garden hose',
    detail: `It lies in the sun between ${say.quantity('temperature', values.number('least'), 0)} and ${say.quantity('temperature', values.number('most'), 0)}, where germs grow, and gives off its softeners and lead.`,
    remedy: 'Take pipe that is marked for drinking water.',
  }),
  'zinc-by-copper': (values, say) => ({
    headline: 'zinc and copper in one water',
    detail: `They stand ${values.number('volts')} V apart: copper upstream eats the zinc in months, and above ${say.quantity('temperature', values.number('from'), 0)} zinc no longer guards the steel.`,
    remedy: 'Pipe of plastic that stands the heat, no copper before the sheets, and an inhibitor in a loop of its own.',
  }),
  'aluminium-by-copper': (values) => ({
    headline: 'aluminium and copper in one water',
    detail: `They stand about ${values.number('volts').toFixed(1)} V apart: copper in the water pits thin aluminium through in months.`,
    remedy: 'Plastic pipe that stands the heat, no copper or brass in the same water.',
  }),
  'store-small': (values, say) => ({
    headline: 'little store for so much pane',
    detail: `${say.quantity('volume', values.number('volume'), 0)} to ${say.quantity('area', values.number('area'))} of pane is ${say.quantity('volume', values.number('per'), 0)} a square metre: it boils, or stands dry all week.`,
    remedy: `The trade takes ${say.quantity('volume', values.number('low'), 0)} to ${say.quantity('volume', values.number('high'), 0)} a square metre. A larger store, or less pane.`,
  }),
  'barrel-topples': (values, say) => ({
    headline: 'a raised barrel can topple',
    detail: `Full it weighs ${say.quantity('mass', values.number('mass'), 0)}, over somebody’s head.`,
    remedy: `Braced legs on firm ground, tied to a wall. Your local code and an engineer decide.`,
  }),
};
