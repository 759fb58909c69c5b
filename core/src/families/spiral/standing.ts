import { fullSun as noon } from '../kit/fullSun';

/** On a flat roof. */
export const fullSun = noon(0);
