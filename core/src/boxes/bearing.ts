/** m. Least that a pane bears on at each edge, lying in the middle of its room. Judgement: less, and a gasket and a rough edge hold nothing. */
const leastBearing = 0.004;
/** m. Sizes of a ledge go by the half millimetre. */
const step = 0.0005;

/** m that a pane bears on at each edge: lying in the middle of its room, and slid aside as far as its room lets it, at the far edge. */
export function paneBearing(ledge: number, clearance: number): { centred: number; slid: number } {
  return { centred: ledge - clearance, slid: ledge - 2 * clearance };
}

/** Whether a pane with so much room lies safely on a ledge: on four millimetres in the middle, and not fallen off when it is slid aside. */
export function bearsPane(ledge: number, clearance: number): boolean {
  const { centred, slid } = paneBearing(ledge, clearance);
  return centred >= leastBearing - 1e-9 && slid >= -1e-9;
}

/** m. The least ledge that bears a pane with so much room round it, up to the half millimetre. */
export function leastLedge(clearance: number): number {
  return Math.ceil(Math.max(leastBearing + clearance, 2 * clearance) / step - 1e-6) * step;
}

/** m. The most room round a pane on a ledge, down to the half millimetre. */
export function mostClearance(ledge: number): number {
  return Math.floor(Math.min(ledge - leastBearing, ledge / 2) / step + 1e-6) * step;
}
