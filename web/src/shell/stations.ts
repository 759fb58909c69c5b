import { type StationEntry, type StationId, stationList } from '@north-pane/core/stations';
import { type ComponentType, lazy } from 'react';

export interface Station extends StationEntry {
  id: StationId;
  Screen: ComponentType;
  load(): Promise<unknown>;
}

/** The screen of each; the compiler names one that is missing. */
const screens: Record<StationId, () => Promise<{ default: ComponentType }>> = {
  place: () => import('../stations/place'),
  pick: () => import('../stations/pick'),
  size: () => import('../stations/size'),
  cut: () => import('../stations/cut'),
  build: () => import('../stations/build'),
  forecast: () => import('../stations/forecast'),
  prove: () => import('../stations/prove'),
};

/** The stations that work, in job order. */
export const stations: readonly Station[] = stationList.map((entry) => {
  const load = screens[entry.id];
  return { ...entry, load, Screen: lazy(load) };
});
