/** A place of work in a job, in the order in which a heater comes about. */
export interface StationEntry {
  /** Fixed from the first day, also while some are not built: keys and rail count by it. */
  number: number;
  /** In the address of the page, and the folder of its screen. */
  id: string;
  name: string;
  /** It is about the heater: nothing stands there before a kind is picked. */
  needsHeater: boolean;
  /** What one goes there for, in a few words after its name. */
  purpose: string;
}

/** The stations that work. Adding one is adding its line here, the folder of its screen, and a line in the shell's `stations.ts`. */
export const stationList = [
  {
    number: 1,
    id: 'place',
    name: 'Place',
    needsHeater: false,
    purpose: 'the sun, the frost and the wind where it stands',
  },
  { number: 2, id: 'pick', name: 'Pick', needsHeater: false, purpose: 'which kind gives what you need here' },
  { number: 3, id: 'size', name: 'Size', needsHeater: true, purpose: 'its dimensions, and what they change' },
  { number: 4, id: 'cut', name: 'Cut', needsHeater: true, purpose: 'what to buy, and where to cut it' },
  { number: 5, id: 'build', name: 'Build', needsHeater: true, purpose: 'the steps and their checks' },
  { number: 7, id: 'forecast', name: 'Forecast', needsHeater: true, purpose: 'how warm the water gets' },
  { number: 8, id: 'prove', name: 'Prove', needsHeater: true, purpose: 'what you measured against what was forecast' },
] as const satisfies readonly StationEntry[];

export type StationId = (typeof stationList)[number]['id'];

/** Ids of the stations that work, in job order. */
export const stationIds: readonly StationId[] = stationList.map(({ id }) => id);
