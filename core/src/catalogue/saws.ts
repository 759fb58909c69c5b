/** What a piece is parted with, and what it takes away. */
export interface Saw {
  id: string;
  name: string;
  cuts: readonly ('tube' | 'plastic' | 'timber' | 'track' | 'bar' | 'sheet' | 'metal' | 'insulation')[];
  /** m lost at a cut. */
  kerf: number;
}

/**
 * Usual widths of cut, to begin with: a wheel parts without loss, a hacksaw blade of 24 teeth an inch is set to about a millimetre, a
 * thin circular saw blade cuts some two and a half and a common one some three (trade practice; measure a cut of your own).
 */
export const saws: readonly Saw[] = [
  { id: 'tube-cutter', name: 'tube cutter', cuts: ['tube'], kerf: 0 },
  { id: 'hacksaw', name: 'hacksaw', cuts: ['tube', 'plastic', 'track', 'bar'], kerf: 0.001 },
  { id: 'snips', name: 'snips or a scored line', cuts: ['metal', 'track'], kerf: 0 },
  { id: 'knife', name: 'knife', cuts: ['insulation'], kerf: 0 },
  { id: 'hand-saw', name: 'hand saw', cuts: ['timber', 'plastic', 'sheet', 'insulation'], kerf: 0.0015 },
  { id: 'jigsaw', name: 'jigsaw', cuts: ['timber', 'sheet', 'metal'], kerf: 0.0015 },
  { id: 'thin-blade', name: 'circular saw, thin blade', cuts: ['timber', 'plastic', 'sheet', 'track'], kerf: 0.0024 },
  {
    id: 'common-blade',
    name: 'circular saw, common blade',
    cuts: ['timber', 'plastic', 'sheet', 'track'],
    kerf: 0.003,
  },
];
