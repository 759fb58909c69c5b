// What a build step and a check are, and the order that steps stand in.

export { inOrder } from './order';
export { type Check, isStepId, type Step, stepId } from './step';
