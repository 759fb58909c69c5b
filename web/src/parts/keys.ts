import { useHotkeys } from 'react-hotkeys-hook';
import { useView } from '../state/view';

/** Whether a dialog, or the shop mode, has the page: nothing under it takes keys. */
function coveredByDialog(): boolean {
  return document.querySelector('[role="dialog"], [role="alertdialog"]') !== null;
}

/** Fields whose text the browser itself edits. Radio buttons and boxes to tick are fields to it too, but nothing is typed there. */
function isTypedInto(target: EventTarget | null): boolean {
  if (target instanceof HTMLInputElement) return !['radio', 'checkbox', 'button', 'range'].includes(target.type);
  return target instanceof HTMLTextAreaElement || target instanceof HTMLSelectElement;
}

/** Letters and their codes on the keyboard are let through; what they write is compared. */
const byLetter = {
  useKey: true,
  ignoreModifiers: true,
  delimiter: ' ',
  sequenceSplitKey: '\u0000',
  enableOnFormTags: true,
} as const;

/**
 * Single keys, by what they write and not by where they lie: on every layout the key that writes `u` is `u`. Quiet while something
 * is typed, in dialogs and in shop mode, with Ctrl, Alt or Cmd held, and when they are switched off (WCAG 2.2, 2.1.4).
 *
 * @param keys characters, parted by spaces
 */
export function useSingleKeys(keys: string, action: (event: KeyboardEvent) => void): void {
  useHotkeys(keys, action, {
    ...byLetter,
    ignoreEventWhen: (event) =>
      event.ctrlKey ||
      event.metaKey ||
      (event.altKey && !event.getModifierState('AltGraph')) ||
      isTypedInto(event.target) ||
      coveredByDialog() ||
      !useView.getState().singleKeys,
  });
}

/** Marks a field that shows a value of the job as it stands: nothing half typed in it, so that undo means the job. */
export const showsJob = (half: boolean) => (half ? {} : { 'data-shows-job': '' });

/**
 * Ctrl or Cmd with a letter. In a field the browser undoes typing as long as something is half typed; a field that shows what the
 * job has lets the job be undone.
 */
export function useChord(letter: string, action: () => void, options: { shift?: boolean } = {}): void {
  useHotkeys(letter, action, {
    ...byLetter,
    preventDefault: true,
    ignoreEventWhen: (event) =>
      !(event.ctrlKey || event.metaKey) ||
      event.altKey ||
      event.shiftKey !== (options.shift ?? false) ||
      (isTypedInto(event.target) && !(event.target as HTMLElement).hasAttribute('data-shows-job')),
  });
}
