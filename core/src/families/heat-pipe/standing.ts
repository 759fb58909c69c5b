import { fullSun as noon } from '../kit/fullSun';

/** At a usual tilt. */
export const fullSun = noon(45);

/** Degrees from level under which a sealed tube of this kind does not carry well: what condenses does not run back. Faghri (1995): 10 to 15. */
export const leastTilt = 15;
