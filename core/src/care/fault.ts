/**
 * Whether an error is a fault of the program, and none of the design: a value that is not there, a name that is not known, a recursion without
 * an end. What a model or a planner cannot do throws an error of its own, or a RangeError with what is out of range.
 */
export function isProgramFault(error: unknown): boolean {
  if (!(error instanceof Error)) return true;
  const faults = [TypeError, ReferenceError, SyntaxError, EvalError, URIError];
  return faults.some((kind) => error instanceof kind) || /call stack/i.test(error.message);
}

/** Why something could not be worked out, for whoever asked for it. What a program says of itself is left to its log. */
export function errorWords(error: unknown): string {
  return isProgramFault(error) ? 'North Pane has a fault here; your design is not the cause' : (error as Error).message;
}
