import { isClash } from '../care';
import { isPicked } from '../document';
import type { WorkedOut } from '../figures';
import { isPlaced } from '../site';
import { type StationId, stationList } from './list';
import { piecesMade } from './progress';

/** Where to go from a station, and why, in words for a builder. */
export interface NextStation {
  id: StationId;
  name: string;
  reason: string;
}

function to(id: StationId, reason?: string): NextStation {
  const found = stationList.find((one) => one.id === id) ?? stationList[0];
  return { id: found.id, name: found.name, reason: reason ?? found.purpose };
}

/**
 * What comes after a station: what the later ones rest on and is still missing, else the station that follows it.
 *
 * @returns undefined where nothing is left to go to before this station itself is done
 */
export function nextStation(
  from: StationId,
  job: Pick<WorkedOut, 'open' | 'parts' | 'findings'>,
  readings: number,
): NextStation | undefined {
  const document = job.open.job;
  if (!isPlaced(document.site) && from !== 'place')
    return to('place', 'the figures still assume a place that nobody chose');
  if (!isPicked(document)) return from === 'pick' ? undefined : to('pick');
  const clashes = job.findings.filter(isClash).length;
  if (clashes > 0 && !['place', 'pick', 'size'].includes(from))
    return to('size', `${clashes} ${clashes === 1 ? 'problem keeps' : 'problems keep'} it from being built as drawn`);
  const at = stationList.findIndex(({ id }) => id === from);
  const following = stationList[at + 1];
  if (following) {
    if (following.id !== 'build') return to(following.id);
    const { wanted, done } = piecesMade(job);
    return to('build', done < wanted ? `${following.purpose}; ${done} of ${wanted} pieces are cut` : undefined);
  }
  return readings > 0 ? undefined : to('build', 'build it, then note a first reading here');
}
