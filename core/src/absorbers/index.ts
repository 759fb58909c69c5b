// How heat reaches the tube: plates that families of tube heaters share. One member a file, registered here.
import type { Member } from '../catalogue';
import type { AbsorberDesign } from './absorber';
import { clippedPlate } from './clippedPlate';
import { finWords, nestedFins } from './nestedFins';
import { paintedBoard } from './paintedBoard';
import { snapTracks, trackWords } from './snapTracks';
import { solderedFoil } from './solderedFoil';

export const absorbers = {
  'soldered-foil': solderedFoil,
  'nested-fins': nestedFins,
  'snap-tracks': snapTracks,
  'clipped-plate': clippedPlate,
  'painted-board': paintedBoard,
} as const satisfies Record<string, Member<AbsorberDesign>>;

export const absorberWords = { ...trackWords, ...finWords };
export type { AbsorberDesign, TubeRow } from './absorber';
