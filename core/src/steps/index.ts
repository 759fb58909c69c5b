export { inOrder } from './order';
export { isStepId, type Step, stepId } from './step';
