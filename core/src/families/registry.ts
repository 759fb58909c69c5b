import type { Family } from './family';
import { harp } from './harp';

/** Every kind of heater. Adding one is adding its folder and its line here. */
export const families = { harp } as const satisfies Record<string, Family>;
export type FamilyId = keyof typeof families;
