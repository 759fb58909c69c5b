import { fullSun as noon } from '../kit/fullSun';

/** At a usual tilt, the sun square on. */
export const fullSun = noon(45);
