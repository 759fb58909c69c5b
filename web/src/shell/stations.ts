import { type ComponentType, lazy } from 'react';

export interface Station {
  /** Fixed from the first day, also while some are not built. */
  number: number;
  id: string;
  name: string;
  /** It is about the heater: nothing stands there before a kind is picked. */
  needsHeater: boolean;
  Screen: ComponentType;
  load(): Promise<unknown>;
}

type Load = () => Promise<{ default: ComponentType }>;

function station(number: number, id: string, name: string, needsHeater: boolean, load: Load): Station {
  return { number, id, name, needsHeater, load, Screen: lazy(load) };
}

/** The stations that work, in job order. */
export const stations: readonly Station[] = [
  station(1, 'place', 'Place', false, () => import('../stations/place')),
  station(2, 'pick', 'Pick', false, () => import('../stations/pick')),
  station(3, 'size', 'Size', true, () => import('../stations/size')),
  station(4, 'cut', 'Cut', true, () => import('../stations/cut')),
  station(5, 'build', 'Build', true, () => import('../stations/build')),
  station(7, 'forecast', 'Forecast', true, () => import('../stations/forecast')),
  station(8, 'prove', 'Prove', true, () => import('../stations/prove')),
];
