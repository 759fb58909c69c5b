export { jobSteps, jobTools, sayStep } from './steps';
