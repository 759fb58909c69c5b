// What a finding is, and how it is put into words. The rules that look at a whole job come later in the list of rooms.

export { errorWords, isProgramFault } from './fault';
export type { Finding, Wording, Words } from './finding';
export { finding, fixesFor, gravestFirst, isClash, sayIn, UnworthyFinding, wordFinding } from './finding';
export { issueWords } from './issueWords';
