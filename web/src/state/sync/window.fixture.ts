import { defaultJob, type Job, setFields, valueAtPath } from '@north-pane/core/document';
import type { ShopEvent } from '@north-pane/core/shoplog';
import { step } from './machine';
import type { Effect, Input } from './messages';
import { openSync, type Rules, type Sync } from './state';

export const risers = ['heaters', 'panel-a', 'parameters', 'riserCount'];
export const pitch = ['heaters', 'panel-a', 'parameters', 'pitch'];
export const job = defaultJob('harp');
export const at = (document: Job, path: (string | number)[]) => valueAtPath(document, path);
export const withField = (document: Job, path: (string | number)[], value: unknown) =>
  setFields(document, [{ path, value }]).document;

export type Unasked<K extends 'fetched' | 'heard'> = Omit<Extract<Input, { kind: K }>, 'ask'>;
export type Given = Exclude<Input, { kind: 'fetched' | 'heard' }> | Unasked<'fetched'> | Unasked<'heard'>;

/** One window with the machine in it: what it was given, and what it asked for last. */
export class Window {
  state: Sync;
  effects: Effect[] = [];
  trouble: Rules['trouble'] = () => undefined;

  constructor(document = job, version = 1) {
    this.state = openSync({ version, document }, { events: [], seq: 0 });
  }
  /** An answer that does not say what it is to is one to what was asked for last. */
  give(...inputs: Given[]): this {
    for (const given of inputs) {
      const { fetching, hearing } = this.state;
      const input = {
        ...(given.kind === 'fetched' ? { ask: fetching } : {}),
        ...(given.kind === 'heard' ? { ask: hearing } : {}),
        ...given,
      } as Input;
      const { state, effects } = step(this.state, input, { saveId: (n) => `save-${n}`, trouble: this.trouble });
      this.state = state;
      this.effects = effects;
    }
    return this;
  }
  set(path: (string | number)[], value: unknown): this {
    return this.give({ kind: 'edit', fields: [{ path, value }] });
  }
  /** What it asked for last, by kind. */
  asks(): string[] {
    return this.effects.map((effect) => (effect.kind === 'wait' ? `wait ${effect.ms}` : effect.kind));
  }
  shows(path: (string | number)[]): unknown {
    return at(this.state.document, path);
  }
}

export const tick = (id: string): ShopEvent =>
  ({
    id,
    at: '2026-06-21T12:00:00.000Z',
    device: 'phone',
    kind: 'made',
    part: 'panel-a/riser',
    count: 1,
  }) as unknown as ShopEvent;
