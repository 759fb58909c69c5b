import type { Sheet, Timber } from '../catalogue';
import type { GlazingDesign } from '../glazings';
import type { CornerScrew, Exit } from './box';
import type { BentEdge } from './edge';

/** m. Rebate along the bottom inner edge that a let-in back lies in. */
export const backLedge = 0.007;
/** m. Room round a let-in back, so that it goes in and the damp may swell it. */
export const backRoom = 0.001;

/** m between two rails: less holds no insulation. Judgement. */
export const leastBay = 0.06;

/** What a box of boards is made of. */
export interface TimberBox {
  board: Timber;
  /**
   * Boards round the outside. With them, or with bent metal, the inner boards stand on the back and the pane lies on their
   * edges; without either pane and back are let into rebates.
   */
  cladding?: Timber;
  edge?: BentEdge;
  back: Sheet;
  insulation: Sheet;
  state: 'dry' | 'damp';
  rails: number;
  /** m that the pane bears on, of a rebate in box or lid; of a clad box it is the inner board less the clearance. */
  ledge: number;
  cleat: number;
  edgeStrip: number;
  side: 'removable' | 'fixed';
  handles: number;
  hanging: 'none' | 'plates';
  weeps: number;
  lid: TimberLid | undefined;
}

export interface TimberLid {
  timber: Timber;
  corners: 'mitred' | 'butted';
}

/** Sizes that everything else of a box hangs on; m. */
export interface Frame {
  inside: { length: number; width: number };
  outside: { length: number; width: number };
  opening: { length: number; width: number };
  wall: number;
  depth: number;
  paneTop: number;
  /** Top of the sides, under a lid if there is one, and as far up as they are whole. */
  rimTop: number;
  solid: number;
  bay: number;
  /** How far the back reaches under the sides. */
  backUnder: number;
  /** Outer board or metal. */
  clad: number;
  turned: boolean;
  /** Pane and gasket; zero without a pane. */
  seatDepth: number;
  /** The hollow that the pane lies in: pane and its room all round. */
  seat: { length: number; width: number };
  bars: GlazingDesign['bars'];
  cornerScrews: CornerScrew[];
  /** From the cold end inside to the middle of each rail. */
  rails: number[];
}

/** What the pieces of a box hang on beside its own frame. */
export interface PartsQuery {
  prefix: string;
  railDepth: number;
  exits: readonly Exit[];
  /** m between insulation and pane: what an edge strip covers. */
  hotSpace: number;
  /** m from the outer face of the low side to each tube: the rails' screws miss them. */
  tubes: readonly number[];
}
