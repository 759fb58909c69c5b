// The steps of the whole job and the tools they ask for.

export { jobSteps, jobTools, sayStep } from './steps';
