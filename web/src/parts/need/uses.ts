import type { Job } from '@north-pane/core/document';

/** What water is for, in words. */
export const uses: readonly { value: Job['need']['kind']; words: string }[] = [
  { value: 'showers', words: 'showers' },
  { value: 'washing', words: 'washing' },
  { value: 'growing', words: 'growing' },
  { value: 'pool', words: 'a pool' },
  { value: 'other', words: 'something else' },
];
