// What a build step and a check are, and the order in which steps can be done.

export { inOrder, StepsDoNotFollow } from './order';
export type { Check, Step } from './step';
export { isStepId, stepId } from './step';
