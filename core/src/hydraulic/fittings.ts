import { frictionFactor } from './friction';

/** Two constants of a fitting: what it costs at little flow, and at much. */
interface TwoK {
  name: string;
  slow: number;
  fast: number;
}

/** Hooper, The two-K method predicts head losses in pipe fittings, Chemical Engineering (1981); recalled. */
export const fittings = {
  'elbow-90': { name: 'elbow, 90°', slow: 800, fast: 0.4 },
  'elbow-90-long': { name: 'long elbow, 90°', slow: 800, fast: 0.2 },
  'elbow-45': { name: 'elbow, 45°', slow: 500, fast: 0.2 },
  'return-bend': { name: 'return bend, 180°', slow: 1000, fast: 0.6 },
  'tee-through': { name: 'tee, straight through', slow: 150, fast: 0.05 },
  'tee-branch': { name: 'tee, into the branch', slow: 500, fast: 0.7 },
  'valve-full-bore': { name: 'ball or gate valve, open', slow: 300, fast: 0.1 },
  'valve-globe': { name: 'globe valve, open', slow: 1500, fast: 4 },
  'check-swing': { name: 'swing check valve', slow: 1500, fast: 1.5 },
  entry: { name: 'entry from a tank', slow: 160, fast: 0.5 },
  exit: { name: 'exit into a tank', slow: 0, fast: 1 },
} as const satisfies Record<string, TwoK>;
export type Fitting = keyof typeof fittings;

/**
 * Loss coefficient of a fitting by the two-K method: slow / Re + fast × (1 + 1 / bore in inches), the second part without
 * the bore for entries and exits. Multiplies the velocity head in the pipe.
 *
 * @param query.bore m
 */
export function fittingLoss(query: { fitting: Fitting; reynolds: number; bore: number }): number {
  const { slow, fast } = fittings[query.fitting];
  const open = query.fitting === 'entry' || query.fitting === 'exit';
  return slow / Math.max(1, query.reynolds) + fast * (open ? 1 : 1 + 0.0254 / query.bore);
}

/** Reynolds number at which flow in a coil turns turbulent, later than in a straight tube. Ito (1959), 2 300 at least. */
export function coilOnset(bore: number, coilDiameter: number): number {
  return Math.max(2300, 20_000 * (bore / coilDiameter) ** 0.32);
}

/**
 * Darcy friction factor in a coiled tube. Mishra and Gupta (1979): laminar times 1 + 0.033 (log10 De)^4 with the Dean
 * number De = Re √(bore / coil); turbulent plus 0.03 √(bore / coil).
 *
 * @param query.coilDiameter m, middle to middle of the tube; endless is straight
 */
export function coilFriction(query: {
  reynolds: number;
  bore: number;
  coilDiameter: number;
  relativeRoughness: number;
}): number {
  const bend = query.bore / query.coilDiameter;
  if (!(bend > 0)) return frictionFactor(query.reynolds, query.relativeRoughness);
  const re = Math.max(1e-9, query.reynolds);
  if (re <= coilOnset(query.bore, query.coilDiameter)) {
    const dean = re * Math.sqrt(bend);
    return (64 / re) * (1 + (dean > 1 ? 0.033 * Math.log10(dean) ** 4 : 0));
  }
  // Past the onset it is turbulent at once: the bridge of a straight tube lies below the onset of a coil, or close to it.
  return frictionFactor(Math.max(4000, re), query.relativeRoughness) + 0.03 * Math.sqrt(bend);
}
