// The steps of the whole job, the tools they ask for and the hours they take.

export { jobSteps, jobTools, sayStep } from './steps';
export { type WorkHours, workHours } from './workHours';
