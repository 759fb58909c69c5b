import { type ComponentType, lazy } from 'react';

export interface Station {
  /** Fixed from the first day, also while some are not built. */
  number: number;
  id: string;
  name: string;
  Screen: ComponentType;
  load(): Promise<unknown>;
}

function station(number: number, id: string, name: string, load: () => Promise<{ default: ComponentType }>): Station {
  return { number, id, name, load, Screen: lazy(load) };
}

/** The stations that work, in job order. */
export const stations: readonly Station[] = [
  station(1, 'place', 'Place', () => import('../stations/place')),
  station(2, 'pick', 'Pick', () => import('../stations/pick')),
  station(3, 'size', 'Size', () => import('../stations/size')),
  station(4, 'cut', 'Cut', () => import('../stations/cut')),
  station(5, 'build', 'Build', () => import('../stations/build')),
  station(7, 'forecast', 'Forecast', () => import('../stations/forecast')),
  station(8, 'prove', 'Prove', () => import('../stations/prove')),
];
