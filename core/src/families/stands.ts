import { memberOf } from '../catalogue';
import { laysOn, type MountKind } from '../mounts';
import type { Family } from './family';
import { families } from './registry';

/** Why a kind of heater does not go on a stand; undefined where it does. Throws UnknownMember on an unknown kind. */
export function whyNotOn(family: string, mount: string): string | undefined {
  return memberOf<Family>(families, 'kind of heater', family).notOn?.(laysOn[mount as MountKind]);
}
