/**
 * Softwood as a merchant sells it is taken for C16, EN 338: 16 MPa in bending and 2.2 MPa square to the grain. EN 1995-1-1: what
 * lies on it for years takes 0.6 of that (k_mod, permanent, service classes 1 and 2), over 1.3 for its material (γ_M).
 */
const bendingStrength = 16e6;
const bearingStrength = 2.2e6;
const lasting = 0.6 / 1.3;
/** Share that is left at 38 to 52 °C in dry use: C_t of the NDS for Wood Construction, table 2.3.3. */
const warmth = 0.8;

/** Pa that softwood bears in bending for years, dry and warm. */
export const timberBending = bendingStrength * lasting * warmth;
/** Pa that softwood bears for years where something presses on it square to the grain, dry and warm. */
export const timberBearing = bearingStrength * lasting * warmth;
