import { changesBetween, type Job } from '@north-pane/core/document';

/** The last kept revision, and how many fields have changed since. */
export interface KeptState {
  number: number;
  changes: number;
}

/** Fields that differ between a kept job and one as drawn; what was done in the shop is no design. */
export function fieldsMoved(kept: Job, document: Job): number {
  return changesBetween({ ...kept, decisions: null }, { ...document, decisions: null }).length;
}

/** Which revision this is, and how far it has moved on from it. */
export function revisionWords(kept: KeptState | undefined): string {
  if (!kept) return 'no version saved';
  const moved = kept.changes === 1 ? '1 change' : `${kept.changes} changes`;
  return kept.changes === 0 ? `version ${kept.number}` : `version ${kept.number} and ${moved}`;
}

/** The same, as short as the head of a phone asks: `revision 1 +8`. */
export function revisionBrief(kept: KeptState | undefined): string {
  if (!kept) return 'none saved';
  return `version ${kept.number}${kept.changes > 0 ? ` +${kept.changes}` : ''}`;
}
