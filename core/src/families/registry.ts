import { batchBox } from './batch-box';
import type { Family } from './family';
import { harp } from './harp';
import { heatPipe } from './heat-pipe';
import { lattice } from './lattice';
import { roofTube } from './roof-tube';
import { serpentine } from './serpentine';
import { spiral } from './spiral';
import { trickle } from './trickle';
import { trough } from './trough';

/** Every kind of heater. Adding one is adding its folder and its line here. */
export const families = {
  harp,
  serpentine,
  lattice,
  trickle,
  'batch-box': batchBox,
  spiral,
  'heat-pipe': heatPipe,
  'roof-tube': roofTube,
  trough,
} as const satisfies Record<string, Family>;
export type FamilyId = keyof typeof families;
