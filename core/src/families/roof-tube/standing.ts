import { fullSun as noon } from '../kit/fullSun';

/** On a rack, flat. */
export const fullSun = noon(0);
/** A day to plan a shower by. */
export const fairDay = { ...fullSun, irradiance: 800, air: 22, surroundings: 12, wind: 2 };
