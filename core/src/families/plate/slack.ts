import type { Part } from '../../shop';

/** m. The shortest way out that a union goes on, and how much longer one may be and be in nobody's way. Judgement. */
const leastStub = 0.03;
const longerStub = 0.03;

/** What the way out of a tube forgives: its holes and its far end are right, and it stands out a little less or more. */
export function stubSlack(stub: number, words: string): Pick<Part, 'slack'> {
  return { slack: { short: Math.max(0, stub - leastStub), long: longerStub, words } };
}
