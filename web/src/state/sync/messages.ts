import type { Change, FieldPath } from '@north-pane/core/document';
import type { RefusedEvent, ShopEvent } from '@north-pane/core/shoplog';
import type { OtherCopy, Sent, Stored, Sync } from './state';

/** What the machine of a job is told. */
export type Input =
  | { kind: 'edit'; fields: readonly { path: FieldPath; value: unknown }[] }
  | { kind: 'begin drag' }
  | { kind: 'end drag' }
  | { kind: 'undo' }
  | { kind: 'redo' }
  | { kind: 'record'; events: readonly ShopEvent[] }
  | { kind: 'settle'; path: readonly (string | number)[]; choice: 'yours' | 'theirs' }
  /** The wait is over, or it is not to be waited for. */
  | { kind: 'due' }
  | { kind: 'saved'; save: string; stored: Stored }
  | { kind: 'clashed'; save: string; stored: Stored }
  | { kind: 'refused'; save: string; why: string }
  | { kind: 'unanswered'; what: 'save' | 'log' | 'fetch' | 'hear' }
  /** `seq`: how far the log goes with them. */
  | { kind: 'logged'; ids: readonly string[]; seq: number; refused?: readonly RefusedEvent[] }
  /** What another window of this browser has done while the server does not answer: it is that window's to take back. */
  | { kind: 'overheard'; events: readonly ShopEvent[]; changes: readonly Change[] }
  | { kind: 'stands'; version: number; stamp?: string; seq: number; mark?: string }
  | { kind: 'fetched'; ask: number; stored: Stored }
  | { kind: 'heard'; ask: number; events: readonly ShopEvent[]; seq: number; mark?: string; more: boolean }
  /** The server's copy does not go on from what this window last had. */
  | { kind: 'parted'; copy: OtherCopy }
  | { kind: 'choose copy'; choice: 'yours' | 'theirs' }
  /** What another window of this browser persisted and can send no more. */
  | { kind: 'adopt'; orphan: Sync };

/** What it asks to be done. */
export type Effect =
  | { kind: 'send'; sent: Sent }
  /** `after`, `mark`: how far the log was heard. */
  | { kind: 'log'; events: readonly ShopEvent[]; after: number; mark?: string }
  | { kind: 'fetch'; ask: number; had: Had }
  | { kind: 'hear'; ask: number; after: number; mark?: string }
  /** Lays the state by in the browser, before anything is sent. */
  | { kind: 'persist' }
  /** `due` after so many ms. */
  | { kind: 'wait'; ms: number };

/** What a window last had of a job: the server says whether its copy goes on from that. */
export interface Had {
  version: number;
  stamp?: string;
  seq: number;
  mark?: string;
}

export interface Step {
  state: Sync;
  effects: Effect[];
}
