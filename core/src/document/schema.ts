import * as z from 'zod';
import { loopPipeIds } from '../catalogue';
import { chosenProblems, type Family, families, type HeaterDocument } from '../families';
import { mounts } from '../mounts';
import { climateSchema } from '../sky';
import { isZone } from '../time';

export const jobFormat = 'north-pane/job';
export const jobVersion = 2;

/** What may heat the water now. */
export const heatSources = ['electricity', 'gas', 'oil', 'wood'] as const;

/** kg/s per m². Below it a panel stands still; above it no pump of this kind goes. */
export const leastSpecificFlow = 5e-4;
export const mostSpecificFlow = 0.2;

const id = z
  .string()
  .regex(/^[a-z][a-z0-9-]{0,40}$/, 'must be small letters, digits and dashes, beginning with a letter');
/** Entries by their ids: they merge by what they are and not by their place. */
function keyed<S extends z.ZodType>(
  schema: S,
  limits: { least?: number; most: number; few?: string; key?: z.ZodString },
) {
  const { least = 0, most, few = `at least ${least} of them`, key = id } = limits;
  return z
    .record(key, schema)
    .refine((value) => Object.keys(value).length >= least, few)
    .refine((value) => Object.keys(value).length <= most, `at most ${most} of them`);
}
/** An id of a thing that is sold, made or bought: catalogue ids, roles of parts, keys of prices. */
const thing = z.string().min(1).max(160);
/** Things that are in a set: by their ids, each `true`. */
const set = keyed(z.literal(true), { most: 999, key: thing });
const name = z.string().trim().min(1, 'must not be empty').max(120, 'must be at most 120 characters');
const money = z.number().min(0, 'a price is not below 0').max(1e6, 'a price is at most 1 000 000');
const metres = z.number().gt(0, 'must be above 0').max(100, 'must be at most 100 m');
const share = z.number().min(0, 'must be 0 to 1').max(1, 'must be 0 to 1');
const celsius = z.number().min(-60, 'must be at least -60 °C').max(200, 'must be at most 200 °C');

const chosen = z.strictObject({ kind: z.string(), parameters: z.record(z.string(), z.unknown()) });

/** Low, likely and high in the unit of the input; factors for plate, back, edge, wind and sun. */
const knownSpread = z
  .strictObject({
    low: z.number().gt(0, 'must be above 0').max(1e4),
    likely: z.number().gt(0, 'must be above 0').max(1e4),
    high: z.number().gt(0, 'must be above 0').max(1e4),
    spread: z.enum(['normal', 'log-normal']),
    kind: z.enum(['standard', 'data sheet', 'textbook', 'trade', 'judgement', 'measured']),
  })
  .refine(({ low, likely, high }) => low <= likely && likely <= high, 'low, likely and high must rise');

let inputIds: ReadonlySet<string> | undefined;

/** Ids of the uncertain inputs of all kinds of heater: one that a heater lost with a change of kind may stay, a slip of the pen may not. */
function knownInputIds(): ReadonlySet<string> {
  inputIds ??= new Set(
    Object.values<Family>(families).flatMap((family) =>
      family.open({ id: 'any', ...family.standard('metric') }, '').thermal.inputs.map(({ id: input }) => input),
    ),
  );
  return inputIds;
}

const inputId = z.string().refine((value) => knownInputIds().has(value), {
  error: ({ input }) =>
    `“${String(input)}” is nothing uncertain of a heater; known: ${[...knownInputIds()].join(', ')}`,
});

/** Where a heater or a tilt stands among its like: by this number, and by its id where that is the same. */
const order = z.number().min(-1e6).max(1e6);

const heater = z
  .strictObject({
    order,
    family: z.string(),
    parameters: z.record(z.string(), z.unknown()),
    absorber: chosen.optional(),
    box: chosen.optional(),
    glazing: chosen.optional(),
    mount: chosen.optional(),
    count: z.int('must be a whole number').min(1, 'must be at least 1').max(24, 'must be at most 24'),
    turned: z.boolean(),
    /** Spreads of uncertain inputs that stand above the catalogue's, by input. */
    known: z.record(inputId, knownSpread).optional(),
  })
  .superRefine((value, context) => {
    const family = Object.hasOwn(families, value.family) ? families[value.family as keyof typeof families] : undefined;
    if (!family) {
      context.addIssue({
        code: 'custom',
        path: ['family'],
        message: `“${value.family}” is no kind of heater here; known: ${Object.keys(families).join(', ')}`,
      });
      return;
    }
    if (value.mount)
      for (const problem of chosenProblems(mounts, 'mount', value.mount))
        context.addIssue({ code: 'custom', path: problem.path, message: problem.message });
    for (const problem of family.problems({ id: 'any', ...value } as HeaterDocument))
      context.addIssue({ code: 'custom', path: problem.path, message: problem.message });
  });

const aimDegrees = z.number('must be a number').min(0, 'aim is 0 to 360').lt(360, 'aim is 0 to below 360');
const tiltDegrees = z.number('must be a number').min(0, 'tilt is 0 to 90').max(90, 'tilt is 0 to 90');
const mainsCelsius = z
  .number('must be a number')
  .min(0, 'mains water is 0 to 40 °C')
  .max(40, 'mains water is 0 to 40 °C');
const monthList = z.array(z.int().min(1).max(12)).max(12);

const site = z.strictObject({
  latitude: z.number('must be a number').min(-90, 'latitude is -90 to 90').max(90, 'latitude is -90 to 90'),
  longitude: z.number('must be a number').min(-180, 'longitude is -180 to 180').max(180, 'longitude is -180 to 180'),
  /** Set while nobody has named the place: latitude and longitude are those of somewhere like it. */
  unnamed: z.literal(true).optional(),
  /** m. */
  elevation: z.number('must be a number').min(-450, 'at least -450 m').max(6000, 'at most 6 000 m'),
  /** IANA time zone of the site. */
  zone: z
    .string()
    .max(64, 'no such time zone; write it as Region/City')
    .refine(isZone, 'no such time zone; write it as Region/City'),
  /** The one source of tilt and aim. Degrees; aim clockwise from true north. */
  standing: z.strictObject({
    aim: aimDegrees,
    /** The one that sorts first is the one it stands at most. */
    tilts: keyed(z.strictObject({ order, name, tilt: tiltDegrees, months: monthList.optional() }), {
      least: 1,
      most: 12,
      few: 'one tilt at least',
    }),
    /** m. A row of the same panels before this one: how far on the ground from foot to foot, and how much higher its foot. */
    front: z
      .strictObject({
        spacing: z.number().min(0.2, 'rows are 0.2 to 50 m apart').max(50, 'rows are 0.2 to 50 m apart'),
        rise: z.number().min(-20, 'at most 20 m lower').max(20, 'at most 20 m higher'),
      })
      .optional(),
    /** Degrees. The roof as it was found, to compare with. */
    roof: z.strictObject({ tilt: tiltDegrees, aim: aimDegrees }).optional(),
  }),
  /** Degrees. The skyline, straight from point to point. */
  horizon: z
    .array(z.strictObject({ azimuth: z.number().min(0).max(360), elevation: z.number().min(0).max(90) }))
    .max(360, 'at most 360 points of the skyline'),
  exposure: z.strictObject({ windShare: share, albedo: share }),
  /** What the weather is taken from; the commonest kind at the latitude when nothing is said. */
  climate: climateSchema.nullable(),
  /** °C of the mains as measured; by the air when nothing is said. */
  mains: z
    .strictObject({ coldest: mainsCelsius, warmest: mainsCelsius })
    .refine(({ coldest, warmest }) => coldest <= warmest, {
      message: 'the coldest is not above the warmest',
      path: ['coldest'],
    })
    .nullable(),
  /** Degrees that the compass needle points east of true north, as the builder has it from a map; by the model without. */
  declination: z.number().min(-180, 'declination is -180 to 180').max(180, 'declination is -180 to 180').optional(),
  /** m/s. Strongest gust that the stand is looked at under; 40 when nothing is said. */
  gust: z.number().min(10, 'a gust is 10 to 80 m/s').max(80, 'a gust is 10 to 80 m/s').optional(),
  /** Hottest clear hour where it is known. */
  hottest: z.strictObject({ air: celsius, irradiance: z.number().min(200).max(1400) }).nullable(),
});

const lengthOrSheet = [
  z.strictObject({ item: thing, price: money, length: metres }),
  z.strictObject({ item: thing, price: money, width: metres, height: metres }),
] as const;
/** As counted by the builder, before what the log of the shop says went out and came back: so it may stand below zero. */
const shelfCount = z.int('must be a whole number').min(-999).max(999, 'at most 999');
const onHand = [
  z.strictObject({ item: thing, count: shelfCount, length: metres }),
  z.strictObject({ item: thing, count: shelfCount, width: metres, height: metres }),
] as const;
const several = z.int('must be a whole number').min(1, 'one at least').max(999, 'at most 999');
const onHandThings = [
  z.strictObject({ kind: z.literal('pane'), width: metres, height: metres, count: several }),
  z.strictObject({ kind: z.literal('tank'), diameter: metres, length: metres, count: several }),
  z.strictObject({
    kind: z.literal('hose'),
    item: thing,
    length: z.number().gt(0, 'must be above 0').max(1000, 'at most 1 000 m'),
  }),
  z.strictObject({ kind: z.literal('bottles'), diameter: metres, height: metres, count: several }),
] as const;
const trim = z.number().min(0, 'a trim is 0 to 100 mm').max(0.1, 'a trim is 0 to 100 mm');
const kerf = z.number().min(0, 'a kerf is 0 to 10 mm').max(0.01, 'a kerf is 0 to 10 mm');

const partIds = z.array(thing).min(1).max(500);

/** The job document: the only design state there is. SI throughout. */
export const jobSchema = z.strictObject({
  format: z.literal(jobFormat, 'this is not a North Pane job'),
  version: z.literal(jobVersion),
  name,
  units: z.enum(['metric', 'imperial']),
  currency: z.string().min(1).max(4),
  site,
  need: z.strictObject({
    kind: z.enum(['showers', 'washing', 'growing', 'pool', 'other']),
    /** m³. */
    volumePerDay: z.number().min(0).max(100),
    target: celsius,
    drinking: z.boolean(),
    frost: z.boolean(),
    /** The water of a pool, m² and m, from which its need of a day follows; left out for everything else. */
    pool: z
      .strictObject({
        area: z.number().gt(0, 'a pool has an area').max(2000, 'at most 2 000 m²'),
        depth: z.number().gt(0, 'a pool has a depth').max(5, 'at most 5 m'),
      })
      .optional(),
    /** Months, 1 to 12, in which the water is wanted most; all year when left out. */
    months: monthList.optional(),
    /** Parts of the day's volume by the hour from midnight, in any measure; by what it is for when left out. */
    hours: z
      .array(z.number().min(0, 'an hour has no less than nothing').max(1000))
      .length(24, 'a day has 24 hours')
      .refine((hours) => hours.some((part) => part > 0), 'some hour must have water in it')
      .optional(),
    /** What heats it now, and money for a kWh of it as it is bought; nothing when left out. */
    heats: z
      .strictObject({ by: z.enum(heatSources), price: z.number().min(0, 'a price is not below 0').max(1000) })
      .optional(),
  }),
  heaters: keyed(heater, { least: 1, most: 12, few: 'a job has at least one heater' }),
  stores: keyed(z.strictObject({ kind: z.enum(['tank', 'barrel']), volume: z.number().gt(0).max(100) }), { most: 12 }),
  loop: z.strictObject({
    kind: z.enum(['pumped-direct', 'pumped-coil', 'drain-back', 'thermosiphon', 'bath', 'preheat', 'fill-and-wait']),
    connection: z.enum(['parallel', 'series']),
    /** kg/s per m² of aperture. */
    specificFlow: z
      .number()
      .min(leastSpecificFlow, 'flow is at least 0.000 5 kg/s per m²: less is a panel that stands still')
      .max(mostSpecificFlow, 'flow is at most 0.2 kg/s per m²'),
    /** Under mains pressure, or open to the air somewhere. */
    pressurised: z.boolean(),
    /** Propylene glycol in the loop, share by mass; plain water when left out. */
    glycol: z.number().min(0, 'glycol is 0 to 60 %').max(0.6, 'glycol is 0 to 60 %').optional(),
    /** What the pipes between panels and store are made of, where it is settled. */
    pipe: z.enum(loopPipeIds).optional(),
    /** What is planned in the loop for safety; not planned when left out. A new temperature-and-pressure relief valve. */
    relief: z.boolean().optional(),
    /** An expansion vessel. */
    expansion: z.boolean().optional(),
    /** A thermostatic mixing valve before the taps. */
    mixing: z.boolean().optional(),
    /** What is drawn off is heated in a coil, and not the store's own water. */
    coil: z.boolean().optional(),
    /** A double wall and a backflow preventer between loop and mains. */
    backflow: z.boolean().optional(),
    /** A controller that does not start the pump onto a plate above 90 °C. */
    cutout: z.boolean().optional(),
    /** A check valve, or a drop of the pipe, that keeps the store from falling into the panel by night. */
    check: z.boolean().optional(),
    /** A platinum sensor on silicone cable in the heater, in place of a digital one on PVC. */
    hotSensor: z.boolean().optional(),
  }),
  shop: z.strictObject({
    prices: z.record(thing, money),
    sold: keyed(z.union(lengthOrSheet), { most: 2000, key: thing }),
    onHand: keyed(z.union(onHand), { most: 999, key: thing }),
    /** m lost at a cut, by what is cut; tracks as tube when left out. */
    kerfs: z.strictObject({
      tube: kerf,
      timber: kerf,
      /** Of wood; metal sheet and insulation have their own, zero where left out: snips and knives part without loss. */
      sheet: kerf,
      metal: kerf.optional(),
      insulation: kerf.optional(),
      track: kerf.optional(),
      bar: kerf.optional(),
      /** Plastic pipe; as timber where left out. */
      plastic: kerf.optional(),
    }),
    /** m cut off each end of a length to square it. */
    trims: z
      .strictObject({
        tube: trim.optional(),
        timber: trim.optional(),
        track: trim.optional(),
        bar: trim.optional(),
        plastic: trim.optional(),
      })
      .optional(),
    /** m. Smallest offcut worth keeping. */
    keep: z.number().min(0, 'at least 0').max(5, 'at most 5 m').optional(),
    /** Ids of lengths and sheets on the list that are not to be had just now. */
    without: set.optional(),
    spares: z.strictObject({ consumables: share }),
    /** Ids of lines of the buy list, and tools, that the builder has already. */
    have: set.optional(),
    /** What lies in the shed that is no bar and no sheet. */
    things: keyed(z.discriminatedUnion('kind', onHandThings), { most: 40 }).optional(),
  }),
  /** The builder's plans over the planner's head; what was done is no plan and stands in the log of the shop. */
  decisions: z.strictObject({
    /** Set while nobody has picked a kind of heater: the one that stands here is an example to work with. */
    unpicked: z.literal(true).optional(),
    /** Bars laid out by hand. */
    overrules: keyed(z.strictObject({ item: thing, stock: thing, pieces: partIds }), { most: 200 }).optional(),
    /** Pieces that come off one bar, by part id: those of one word together. */
    ties: z.record(thing, name).optional(),
  }),
  /** What was measured, laid over the design, by where it belongs (a JSON pointer, RFC 6901). */
  asBuilt: keyed(z.strictObject({ value: z.unknown(), source: z.string().max(2000) }), {
    most: 500,
    key: z.string().regex(/^(\/[^/]*)+$/, 'must be a JSON pointer'),
  }),
});

export type Job = z.infer<typeof jobSchema>;

/** JSON Schema of the document, for those who write jobs with other tools. Family parameters are open in it. */
export function jobJsonSchema(): unknown {
  return z.toJSONSchema(jobSchema, { unrepresentable: 'any', io: 'input' });
}
