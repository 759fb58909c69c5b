import {
  type NextStation,
  nextStation,
  type StationId,
  type StationMark,
  stationMarks,
} from '@north-pane/core/stations';
import { useDerived } from '../state/derived';
import { useSources } from '../state/readings';

function useReadings(): number {
  return useSources().data?.reduce((sum, source) => sum + source.count, 0) ?? 0;
}

/** How far each station is, from the document, the shop and what was measured. */
export function useMarks(): Partial<Record<StationId, StationMark>> {
  return stationMarks(useDerived(), useReadings());
}

/** Where to go from a station, and why. */
export function useNextStation(from: StationId): NextStation | undefined {
  return nextStation(from, useDerived(), useReadings());
}
