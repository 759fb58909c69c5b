// What a panel stands on: legs or a hinged frame, and what the wind does to it. One member a file, registered here.
import type { Member } from '../catalogue';
import { groundStand } from './groundStand';
import { hingedFrame } from './hingedFrame';
import type { MountMember } from './mount';

export const mounts = {
  'ground-stand': groundStand,
  'hinged-frame': hingedFrame,
} as const satisfies Record<string, Member<MountMember>>;

export { pinAlong } from './hingedFrame';
export type { MountDesign, MountedPanel, MountMember } from './mount';
export { bareSide } from './side';
export { netCoefficient, type WindLoad, windOn } from './wind';
