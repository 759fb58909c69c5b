// Rules over the whole job: what clashes, what the heat does to materials, growth, pressure, steam, scalding.

export { boilsHere, loopBoils } from './boiling';
export { allWords, jobFindings, sayFinding } from './findings';
export { hardNight, runsEmpty, timeToFreeze } from './safety';
export { type ServiceMargin, serviceMargins } from './serviceMargins';
