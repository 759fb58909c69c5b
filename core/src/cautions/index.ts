export { loopBoils } from './boiling';
export { allWords, jobFindings, sayFinding } from './findings';
export { placeWords, type ServiceMargin, serviceMargins } from './serviceMargins';
