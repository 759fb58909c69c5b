import type { Options } from 'react-hotkeys-hook';

/** Keys work with the focus on anything that is not typed into: the package counts tapes, ticks and chips as forms too. */
export const awake: Options = { enableOnFormTags: ['slider', 'radio'] };
