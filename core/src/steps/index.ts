// What a build step and a check are, and the order that steps stand in.

export { inOrder } from './order';
export { isStepId, type Step, stepId } from './step';
