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

export type MountKind = keyof typeof mounts;
/** How a panel lies on each: level whatever the place wants, or leaning at its tilt. */
export const laysOn: Readonly<Record<MountKind, 'level' | 'leaning'>> = {
  'ground-stand': 'leaning',
  'hinged-frame': 'leaning',
  'roof-standoff': 'leaning',
  'wall-bracket': 'leaning',
  'vehicle-rack': 'level',
};

export { pinAlong } from './hingedFrame';
export type { MountDesign, MountedPanel } from './mount';
export { bareSide } from './side';
export { gustPressure, guyPull, netCoefficients, type WindLoad, windOn } from './wind';
