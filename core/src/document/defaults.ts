import { memberOf } from '../catalogue';
import { type Family, families } from '../families';
import type { Habit } from '../quantity';
import { guidePrices } from '../shop';
import { type BroadClimateId, broadClimates } from '../sky';
import { byId, tiltId } from './lists';
import { type Job, jobFormat, jobVersion } from './schema';
import { standingAt, zoneAt } from './siteDefaults';

/** Ids of every kind of heater. */
export const familyIds: string[] = Object.keys(families);

/** Safety that every new job plans for: what is washed in is mixed and heated in a coil, and no pump starts onto a hot plate. */
const planned = { mixing: true, coil: true, cutout: true, check: true, hotSensor: true };

/** The loop that a new job of a kind begins with, and its store: none beside a kind that is its own. */
export function standardPlant(familyId: string): Pick<Job, 'loop' | 'stores'> {
  const family: Family = memberOf(families, 'kind of heater', familyId);
  return {
    // What is its own store has none beside it.
    stores:
      family.standardLoop === 'preheat' || family.standardLoop === 'by hand'
        ? {}
        : { 'tank-a': { kind: 'tank', volume: 0.15 } },
    loop: { connection: 'parallel', specificFlow: 0.02, pressurised: false, ...planned, ...loopFor(family) },
  };
}

/** A loop in which the kind can stand frost: one that runs empty, or glycol where it holds its water; what is its own store lies before the heater that stands. */
function loopFor(family: Family): Pick<Job['loop'], 'kind' | 'glycol'> & Partial<Job['loop']> {
  if (family.standardLoop === 'preheat')
    return { kind: 'preheat', pressurised: true, relief: true, expansion: true, coil: false, check: false };
  if (family.standardLoop === 'by hand') return { kind: 'fill-and-wait', coil: false, check: false };
  if (family.standardLoop === 'summer') return { kind: 'pumped-direct' };
  return family.standardLoop === 'filled' ? { kind: 'pumped-coil', glycol: 0.4 } : { kind: 'drain-back' };
}

/**
 * A complete job with one panel of that kind, buildable as it stands. Stands nowhere in particular: 45° from the equator,
 * aimed at it, tilted by the latitude. Throws UnknownMember on an unknown kind.
 */
export function defaultJob(familyId: string, options: { units?: Habit } = {}): Job {
  const units = options.units ?? 'metric';
  const family = memberOf(families, 'kind of heater', familyId);
  const { sold, ...guide } = guidePrices(units);
  return {
    format: jobFormat,
    version: jobVersion,
    name: `New ${family.name.toLowerCase()}`,
    units,
    currency: '$',
    site: {
      latitude: 45,
      longitude: 0,
      unnamed: true,
      elevation: 100,
      zone: 'Etc/UTC',
      standing: { aim: 180, tilts: tiltsFor(45) },
      horizon: [],
      exposure: { windShare: 0.45, albedo: 0.2 },
      climate: null,
      mains: null,
      hottest: null,
    },
    need: {
      kind: 'showers',
      // What is carried up in pipes is one shower and not a household's.
      volumePerDay: family.standardLoop === 'by hand' ? 0.035 : 0.15,
      target: 45,
      drinking: false,
      frost: family.standardLoop !== 'summer' && family.standardLoop !== 'by hand',
    },
    heaters: { 'panel-a': { order: 0, ...family.standard(units) } },
    ...standardPlant(familyId),
    shop: {
      ...guide,
      sold: byId(sold) as Job['shop']['sold'],
      onHand: {},
      kerfs: { tube: 0, timber: 0.003, sheet: 0.003 },
      spares: { consumables: 0.15 },
    },
    decisions: {},
    asBuilt: {},
  };
}

/** Where a new job stands: at a place, or somewhere with a climate like it, on one half of the earth. */
export type Beginning =
  | { latitude: number; longitude: number; zone?: string }
  | { climate: BroadClimateId; half: 'north' | 'south' };

/**
 * A new job of a kind at a place: aimed at the equator and tilted by the latitude, to the whole degree. Without a place it stands
 * nowhere in particular.
 *
 * @param options.need laid over what a kind begins with
 * @param options.where its `zone` is taken where it can be that of the longitude; else the clock goes by the longitude
 */
export function beginJob(
  familyId: string,
  options: {
    units: Habit;
    name: string;
    currency?: string | undefined;
    where?: Beginning | undefined;
    need?: Partial<Job['need']> | undefined;
  },
): Job {
  const { units, name, currency, where, need } = options;
  const job = defaultJob(familyId, { units });
  const named: Job = { ...job, name, currency: currency ?? job.currency, need: { ...job.need, ...need } };
  if (!where) return named;
  const { unnamed: _, ...site } = named.site;
  if ('climate' in where) {
    const { latitude, elevation } = broadClimates[where.climate];
    const signed = where.half === 'south' ? -latitude : latitude;
    return {
      ...named,
      site: {
        ...site,
        unnamed: true,
        latitude: signed,
        elevation,
        climate: { kind: 'broad', type: where.climate },
        standing: standingOf(signed),
      },
    };
  }
  const { latitude, longitude, zone } = where;
  return {
    ...named,
    site: { ...site, latitude, longitude, zone: zoneAt(longitude, zone), standing: standingOf(latitude) },
  };
}

function standingOf(latitude: number): Job['site']['standing'] {
  const { aim, tilt } = standingAt(latitude);
  return { aim, tilts: tiltsFor(tilt) };
}

function tiltsFor(tilt: number): Job['site']['standing']['tilts'] {
  return { [tiltId(0)]: { order: 0, name: 'all year', tilt } };
}
