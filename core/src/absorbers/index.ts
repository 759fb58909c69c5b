// How heat reaches the tube: plates that families of tube heaters share. One member a file, registered here.
import type { Member } from '../catalogue';
import type { AbsorberDesign } from './absorber';
import { snapTracks, trackWords } from './snapTracks';
import { solderedFoil } from './solderedFoil';

export const absorbers = {
  'soldered-foil': solderedFoil,
  'snap-tracks': snapTracks,
} as const satisfies Record<string, Member<AbsorberDesign>>;

export const absorberWords = { ...trackWords };
export type { AbsorberDesign, TubeRow } from './absorber';
