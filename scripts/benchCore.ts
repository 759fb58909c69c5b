// What of core is timed in the browser: the front door, and the rooms whose long work runs in workers.
export * from '@north-pane/core';
export { jobFindings } from '@north-pane/core/cautions';
export { heaterCharacteristic } from '@north-pane/core/figures';
export { openJob } from '@north-pane/core/job';
export { compareKinds } from '@north-pane/core/picking';
export * from '@north-pane/core/sky';
export { previewTable } from '@north-pane/core/table';
