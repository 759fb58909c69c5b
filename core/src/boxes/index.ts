// What holds it all together and keeps the back warm. One member a file, registered here.
import type { Member } from '../catalogue';
import type { BoxMember } from './box';
import { foldedEdge } from './foldedEdge';
import { layeredTimber } from './layeredTimber';
import { rebatedTimber } from './rebatedTimber';
import { boxWords } from './words';

export const boxes = {
  'rebated-timber': rebatedTimber,
  'layered-timber': layeredTimber,
  'folded-edge': foldedEdge,
} as const satisfies Record<string, Member<BoxMember>>;

export type { BoxDesign, BoxMember, Exit, Skin } from './box';
export { outerBoard, throughBothEnds } from './box';
export { bendDeduction, courses, develop } from './edge';
export { boxWords };
