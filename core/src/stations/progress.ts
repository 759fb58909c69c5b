import { isPicked } from '../document';
import type { WorkedOut } from '../figures';
import { isPlaced } from '../site';
import type { StationId } from './list';

/** How far a station is; `matters` has problems, so many as `count`. */
export interface StationMark {
  state: 'untouched' | 'under way' | 'settled' | 'matters';
  count?: number | undefined;
}

/** Pieces of a job that are to be cut, and those that are. */
export function piecesMade({ open, parts }: Pick<WorkedOut, 'open' | 'parts'>): { wanted: number; done: number } {
  const { made } = open.state;
  return {
    wanted: parts.reduce((sum, part) => sum + part.count, 0),
    done: parts.reduce((sum, part) => sum + Math.min(part.count, made[part.id] ?? 0), 0),
  };
}

/**
 * How far each station is, from the document, the shop and what was measured; one that is not named is untouched.
 *
 * @param readings how many there are of this job
 */
export function stationMarks(
  { open, parts, findings }: Pick<WorkedOut, 'open' | 'parts' | 'findings'>,
  readings: number,
): Partial<Record<StationId, StationMark>> {
  const { job, state } = open;
  const placed = isPlaced(job.site);
  const place: StationMark = { state: placed ? 'settled' : 'untouched' };
  if (!isPicked(job)) return { place };
  const { wanted, done } = piecesMade({ open, parts });
  return {
    place,
    pick: { state: job.need.hours || job.need.heats || job.shop.things ? 'settled' : 'untouched' },
    size: findings.length > 0 ? { state: 'matters', count: findings.length } : { state: 'settled' },
    cut: { state: done === 0 ? 'untouched' : done < wanted ? 'under way' : 'settled' },
    // How many steps there are is worked out at the station itself: the marks must not wait for it.
    build: { state: Object.keys(state.steps).length === 0 ? 'untouched' : 'under way' },
    forecast: { state: placed ? 'settled' : 'under way' },
    prove: { state: readings > 0 ? 'under way' : 'untouched' },
  };
}
