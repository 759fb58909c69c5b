// What a panel stands on: the ground, a roof, a wall, a vehicle, and what the wind does to it. One member a file, registered here.
import type { Member } from '../catalogue';
import { groundStand } from './groundStand';
import { hingedFrame } from './hingedFrame';
import type { MountMember } from './mount';
import { roofStandoff } from './roofStandoff';
import { vehicleRack } from './vehicleRack';
import { wallBracket } from './wallBracket';

export const mounts = {
  'ground-stand': groundStand,
  'hinged-frame': hingedFrame,
  'roof-standoff': roofStandoff,
  'wall-bracket': wallBracket,
  'vehicle-rack': vehicleRack,
} as const satisfies Record<string, Member<MountMember>>;

export { pinAlong } from './hingedFrame';
export type { MountDesign, MountedPanel } from './mount';
export { bareSide } from './side';
export { gustPressure, guyPull, netCoefficients, type WindLoad, windOn } from './wind';
