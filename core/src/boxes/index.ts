// What holds it all together and keeps the back warm. One member a file, registered here.
import type { Member } from '../catalogue';
import type { BoxMember } from './box';
import { boxWords, layeredTimber } from './layeredTimber';
import { rebatedTimber } from './rebatedTimber';

export const boxes = {
  'rebated-timber': rebatedTimber,
  'layered-timber': layeredTimber,
} as const satisfies Record<string, Member<BoxMember>>;

export type { BoxDesign, BoxMember, Exit } from './box';
export { boxWords };
