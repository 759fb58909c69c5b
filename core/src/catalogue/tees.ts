import { elbowFor } from './elbows';

/** A soldered copper tee: a run for the header, a branch for the riser; m. */
export interface Tee {
  /** Middle of the branch to the stop in a socket of the run. */
  runLaying: number;
  /** Middle of the run to the stop in the socket of the branch. */
  branchLaying: number;
  /** How deep the sockets are. */
  runSocket: number;
  branchSocket: number;
  /** Across the outside of the run. */
  across: number;
}

/** m. Wall of a fitting, stop and radius, over half the tube that crosses. Trade, read off fittings in the hand. */
const shoulder = 0.003;

/**
 * The tee of two tubes. Sockets are those of its elbows, EN 1254-1 and ASME B16.22; laying lengths are left to the makers: half
 * the tube that crosses and a shoulder. Dry-fit yours.
 */
export function teeFor(run: number, branch: number): Tee {
  return {
    runLaying: branch / 2 + shoulder,
    branchLaying: run / 2 + shoulder,
    runSocket: elbowFor(run).socket,
    branchSocket: elbowFor(branch).socket,
    across: elbowFor(run).across,
  };
}
