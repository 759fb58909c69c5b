import type { FieldPath, Job } from '../document';
import { jobMonths } from '../site';
import { mainsTemperature, midMonthDays } from '../sky';

/** K by which a pool in the open cools in a day and a night of its season, without a cover. Judgement: 1 to 3 K are met. */
export const poolCooling = 2;
/** °C that a pool is usually wanted at, and the warmest that one is held at. */
export const poolTarget = { usual: 28, most: 40 } as const;
/** K over the mains under which the sum says nothing. */
const leastRise = 3;

type Pool = NonNullable<Job['need']['pool']>;

/**
 * m³ a day from the mains to the pool's temperature that take the heat which the pool loses: what it cools by, as a draw of water. What a pool
 * loses by wind, sky and vapour is worked out where it is a store of the plant.
 *
 * @param target °C of the pool
 * @param mains °C
 */
export function poolVolumePerDay({ area, depth }: Pool, target: number, mains: number): number {
  return (area * depth * poolCooling) / Math.max(leastRise, target - mains);
}

/** °C of the mains, over the months in which the water is wanted. */
function wantedMains({ site, need }: Pick<Job, 'site' | 'need'>): number {
  const { air } = jobMonths(site);
  const months = need.months ?? midMonthDays.map((_, month) => month + 1);
  const all = months.map((month) =>
    mainsTemperature({ air, day: Math.round(midMonthDays[month - 1] ?? 1), measured: site.mains }),
  );
  return all.reduce((sum, one) => sum + one, 0) / all.length;
}

/** Fields of the need of a pool that is so large and so warm: the water of a day follows. */
export function poolNeed(
  job: Pick<Job, 'site' | 'need'>,
  change: Partial<Pool> & { target?: number } = {},
): { path: FieldPath; value: unknown }[] {
  const { target: asked, ...size } = change;
  const { need } = job;
  const pool = { area: 32, depth: 1.4, ...need.pool, ...size };
  const target = asked ?? (need.target > poolTarget.most ? poolTarget.usual : need.target);
  return [
    { path: ['need', 'kind'], value: 'pool' },
    { path: ['need', 'pool'], value: pool },
    { path: ['need', 'target'], value: target },
    {
      path: ['need', 'volumePerDay'],
      value: Math.round(1000 * poolVolumePerDay(pool, target, wantedMains(job))) / 1000,
    },
  ];
}
