import { parseJob } from '@north-pane/core/document';
import type { Rules } from './sync/state';

/** What the machine of a job asks of the world. */
export const rules: Rules = {
  saveId: () => crypto.randomUUID(),
  trouble: (document) => {
    const parsed = parseJob(document);
    return parsed.ok ? undefined : (parsed.errors[0]?.message ?? 'it makes no sound job');
  },
};
