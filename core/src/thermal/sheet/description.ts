import type { FlatDescription } from '../flat/description';

/** Two sheets with water between them all over: the absorber is wet from rim to rim. */
export interface SheetDescription extends FlatDescription {
  /** m between the sheets. */
  gap: number;
}
