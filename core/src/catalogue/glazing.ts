import { type Range, range } from './range';

/** A pane material. Optics are those of the clean pane at normal incidence; the angle curve follows from `optics`. */
export interface Pane {
  id: string;
  name: string;
  material: 'glass' | 'polycarbonate';
  /** m. */
  thickness: number;
  /** Refractive index. */
  index: number;
  /** Sheets that the sun passes: 1 for a solid pane, 2 for a twin-wall sheet. */
  sheets: 1 | 2;
  /** Clean solar transmittance at normal incidence, as met in practice. */
  transmittance: Range;
  /** Long-wave emittance of both faces. */
  emittance: number;
  /** W/m²K. Heat through the pane itself, face to face; Infinity for a thin solid pane. */
  conductance: number;
  /** kg/m². */
  weight: number;
  /** °C. */
  serviceLimit: number;
  source: string;
}

const inch = 0.0254;

export const panes: readonly Pane[] = [
  {
    id: 'tempered-4',
    name: '4 mm tempered glass',
    material: 'glass',
    thickness: 0.004,
    index: 1.526,
    sheets: 1,
    transmittance: range(0.82, 0.838, 0.85, 'textbook'),
    emittance: 0.88,
    conductance: Number.POSITIVE_INFINITY,
    weight: 10,
    serviceLimit: 200,
    source: 'D&B cover data (index 1.526, emittance 0.88); ordinary float 4 mm; EN 12150-1 for tempering',
  },
  {
    id: 'tempered-low-iron-4',
    name: '4 mm tempered low-iron glass',
    material: 'glass',
    thickness: 0.004,
    index: 1.526,
    sheets: 1,
    transmittance: range(0.89, 0.9, 0.91, 'textbook'),
    emittance: 0.88,
    conductance: Number.POSITIVE_INFINITY,
    weight: 10,
    serviceLimit: 200,
    source: 'D&B cover data (extinction of water-white glass about 4 per metre)',
  },
  {
    id: 'tempered-5_32',
    name: '5/32″ tempered glass',
    material: 'glass',
    thickness: (5 / 32) * inch,
    index: 1.526,
    sheets: 1,
    transmittance: range(0.82, 0.838, 0.85, 'textbook'),
    emittance: 0.88,
    conductance: Number.POSITIVE_INFINITY,
    weight: 9.9,
    serviceLimit: 200,
    source: 'D&B cover data; ASTM C1048 for tempering',
  },
  {
    id: 'tempered-low-iron-5_32',
    name: '5/32″ tempered low-iron glass',
    material: 'glass',
    thickness: (5 / 32) * inch,
    index: 1.526,
    sheets: 1,
    transmittance: range(0.89, 0.9, 0.91, 'textbook'),
    emittance: 0.88,
    conductance: Number.POSITIVE_INFINITY,
    weight: 9.9,
    serviceLimit: 200,
    source: 'D&B cover data (extinction of water-white glass about 4 per metre)',
  },
  {
    id: 'tempered-6',
    name: '6 mm tempered glass',
    material: 'glass',
    thickness: 0.006,
    index: 1.526,
    sheets: 1,
    transmittance: range(0.78, 0.8, 0.82, 'textbook'),
    emittance: 0.88,
    conductance: Number.POSITIVE_INFINITY,
    weight: 15,
    serviceLimit: 200,
    source: 'D&B cover data; ordinary float 6 mm',
  },
  {
    id: 'twin-wall-10',
    name: '10 mm twin-wall polycarbonate, new',
    material: 'polycarbonate',
    thickness: 0.01,
    index: 1.586,
    sheets: 2,
    transmittance: range(0.76, 0.8, 0.83, 'data sheet'),
    emittance: 0.9,
    conductance: 5.3,
    weight: 1.7,
    serviceLimit: 115,
    source: 'makers of 10 mm twin-wall sheet: U 3.0 W/m²K in a window test, so about 5.3 face to face',
  },
  {
    id: 'twin-wall-10-aged',
    name: '10 mm twin-wall polycarbonate, weathered',
    material: 'polycarbonate',
    thickness: 0.01,
    index: 1.586,
    sheets: 2,
    transmittance: range(0.65, 0.7, 0.75, 'judgement'),
    emittance: 0.9,
    conductance: 5.3,
    weight: 1.7,
    serviceLimit: 115,
    source: 'judgement: ten years outdoors',
  },
];

/** Dirt and condensation on any pane outdoors: share let through. */
export const dirt: Range = range(0.93, 0.97, 0.99, 'judgement');

/** Rim and bridges of a box, times what its boards let through. */
export const rimSpread: Range = range(0.5, 1, 2, 'judgement', 'log-normal');

/** Black paint. */
export interface Coating {
  id: string;
  name: string;
  absorptance: Range;
  emittance: Range;
  /** °C. */
  serviceLimit: number;
  source: string;
}

export const coatings: readonly Coating[] = [
  {
    id: 'flat-black',
    name: 'flat black stove paint',
    absorptance: range(0.92, 0.95, 0.97, 'textbook'),
    emittance: range(0.86, 0.92, 0.95, 'textbook'),
    serviceLimit: 250,
    source: 'D&B table of flat black paints',
  },
  {
    id: 'selective-paint',
    name: 'thickness-sensitive selective paint',
    absorptance: range(0.88, 0.91, 0.93, 'data sheet'),
    emittance: range(0.3, 0.45, 0.6, 'judgement'),
    serviceLimit: 250,
    source: 'makers claim 0.3; brushed by hand about 0.45',
  },
];
