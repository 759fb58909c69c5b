import { psi } from '../quantity';

/** Something in a panel or its loop that only has to stand the heat. */
export interface ServiceLimit {
  name: string;
  /** °C for years. */
  limit: number;
  source: string;
  /** What may be bought in its place for a hot panel. */
  hotter?: { name: string; limit: number; source: string };
}

/** What sealants, plastics, sensors and pipes of the loop stand for years. */
export const serviceLimits = {
  silicone: { name: 'high-temperature silicone', limit: 200, source: 'makers of red silicone: 200 to 250 °C' },
  grease: { name: 'thermal grease', limit: 180, source: 'makers of silicone thermal grease: 150 to 200 °C' },
  sealant: { name: 'building silicone', limit: 150, source: 'EN ISO 11600 class F sealants; makers, 120 to 150 °C' },
  gasket: { name: 'EPDM gasket', limit: 130, source: 'EN 12365; makers: 120 °C, 150 °C for hours' },
  sensor: {
    name: 'digital sensor',
    limit: 125,
    source: 'makers of digital sensors in steel sleeves',
    hotter: { name: 'platinum sensor', limit: 180, source: 'EN IEC 60751; makers of collector sensors: 180 to 250 °C' },
  },
  cable: {
    name: 'PVC cable',
    limit: 70,
    source: 'EN 50525-2-31, conductor 70 °C',
    hotter: { name: 'silicone cable', limit: 180, source: 'EN 50525-2-41, conductor 180 °C' },
  },
  glycol: {
    name: 'glycol',
    limit: 120,
    source: 'makers of inhibited glycol: turns acid above 120 to 150 °C',
  },
  barrel: { name: 'polyethylene barrel', limit: 60, source: 'makers of polyethylene barrels: 60 °C, filled' },
  tinLead: {
    name: 'tin-lead joints',
    limit: 183,
    source: 'tin-lead 50/50 begins to melt at 183 °C (ISO 9453); above 121 °C it has no pressure rating',
  },
  tinAntimony: {
    name: 'tin-antimony joints',
    limit: 233,
    source: 'tin with 5 % antimony begins to melt at 233 °C (ISO 9453); above 121 °C it has no pressure rating',
  },
} as const satisfies Record<string, ServiceLimit>;

/** °C. A plate hotter than this flashes what is run onto it: nothing is filled or pumped then. */
export const hottestStart = 90;

/** Pipes that a loop may be made of, and the heat they stand with water in them. */
export const loopPipes = {
  copper: { name: 'copper pipe', limit: 200, source: 'EN 1057; its soft-soldered joints decide' },
  pex: { name: 'PEX pipe', limit: 93, source: 'ASTM F876: 93 °C at 5.5 bar, and no more' },
  cpvc: { name: 'CPVC pipe', limit: 82, source: 'ASTM D2846: 82 °C at 6.9 bar' },
  pvc: { name: 'PVC pipe', limit: 60, source: 'ASTM D1785: 0.22 of its cold rating at 60 °C, and nothing above' },
  hose: { name: 'garden hose', limit: 50, source: 'makers: 40 to 60 °C' },
  rubber: { name: 'EPDM hose', limit: 120, source: 'makers of heater hose: 120 °C' },
} as const satisfies Record<string, ServiceLimit>;
export type LoopPipe = keyof typeof loopPipes;
export const loopPipeIds = Object.keys(loopPipes) as [LoopPipe, ...LoopPipe[]];

export type SolderAlloy = 'tin-lead' | 'tin-antimony';

/** °C above which no soft-soldered joint has a pressure rating: the table of them ends at 250 °F. */
export const solderRatedTo = 121;

/** Pa that a soldered capillary fitting up to 28 mm holds, by °C. */
const ratings: Record<SolderAlloy, readonly (readonly [temperature: number, pressure: number])[]> = {
  // psi at 100, 150, 200 and 250 °F.
  'tin-lead': [
    [38, 200],
    [66, 150],
    [93, 100],
    [solderRatedTo, 85],
  ],
  'tin-antimony': [
    [38, 1090],
    [66, 625],
    [93, 505],
    [solderRatedTo, 270],
  ],
};

/**
 * Pa that a soldered capillary joint of up to 28 mm may hold at a temperature. ASME B16.22 with the Copper Tube Handbook's
 * table of soldered joints, recalled; straight between its rows. Nothing above 121 °C, where the table ends. A riser let into
 * a drilled header is no capillary joint and holds far less.
 */
export function solderHolds(alloy: SolderAlloy, temperature: number): number | undefined {
  const rows = ratings[alloy];
  const last = rows[rows.length - 1];
  if (!last || temperature > last[0]) return undefined;
  const above = rows.findIndex(([at]) => temperature <= at);
  const [hot, weak] = rows[above] ?? last;
  const [cold, strong] = rows[above - 1] ?? [hot, weak];
  const share = hot === cold ? 0 : (temperature - cold) / (hot - cold);
  return (strong + (weak - strong) * share) * psi;
}
