import { inch } from '../quantity';
import { type Range, range } from './range';

/** A pane material. Optics are those of the clean pane at normal incidence; the angle curve follows from `optics`. */
export interface Pane {
  id: string;
  name: string;
  material: 'glass' | 'polycarbonate' | 'acrylic' | 'fibreglass' | 'fluorofilm' | 'greenhouseFilm';
  kind: 'tempered' | 'annealed' | 'sealed-unit' | 'multiwall' | 'fibreglass' | 'acrylic' | 'film';
  /** m. */
  thickness: number;
  /** Refractive index. */
  index: number;
  /** Sheets that the sun passes: 1 for a solid pane, 2 for a twin-wall sheet or a sealed unit. */
  sheets: 1 | 2 | 3;
  /** Clean solar transmittance at normal incidence, as met in practice. */
  transmittance: Range;
  /** Long-wave emittance of both faces. */
  emittance: number;
  /** Share of long-wave radiation that passes straight through: films only. Zero when left out. */
  longWave?: number;
  /** W/m²K. Heat through the solid of the pane, face to face; Infinity for thin sheets. */
  conductance: number;
  /** Air spaces between the sheets of a hollow pane; heat crosses them by the gap model, at the temperature that they have. */
  cavities?: {
    count: number;
    /** m. */
    gap: number;
    /** W/m²K that the webs of one cavity conduct; zero without any. */
    webs: number;
    /** Share of the radiation between two wide faces that passes between webs. 1 without any. */
    view: number;
  };
  /** kg/m². */
  weight: number;
  /** m. One leaf of a unit of several. */
  leaf?: number;
  /** N m. Bending stiffness of a hollow sheet; solid ones follow from thickness and material. */
  rigidity?: number;
  /** °C. */
  serviceLimit: number;
  source: string;
}

export const panes: readonly Pane[] = [
  {
    id: 'tempered-4',
    name: '4 mm tempered glass',
    material: 'glass',
    kind: 'tempered',
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
    kind: 'tempered',
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
    kind: 'tempered',
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
    kind: 'tempered',
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
    kind: 'tempered',
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
    kind: 'multiwall',
    thickness: 0.01,
    index: 1.586,
    sheets: 2,
    transmittance: range(0.76, 0.8, 0.83, 'data sheet'),
    emittance: 0.9,
    conductance: Number.POSITIVE_INFINITY,
    cavities: { count: 1, gap: 0.0092, webs: 0.83, view: 0.73 },
    weight: 1.7,
    rigidity: 52,
    serviceLimit: 115,
    source:
      'makers of 10 mm twin-wall sheet (U 3.0 to 3.1 W/m²K in a window test); cavity 9.2 mm, webs of 0.4 mm every 10.5 mm; view between webs that radiate again: crossed strings (Hottel)',
  },
  {
    id: 'twin-wall-10-aged',
    name: '10 mm twin-wall polycarbonate, weathered',
    material: 'polycarbonate',
    kind: 'multiwall',
    thickness: 0.01,
    index: 1.586,
    sheets: 2,
    transmittance: range(0.65, 0.7, 0.75, 'judgement'),
    emittance: 0.9,
    conductance: Number.POSITIVE_INFINITY,
    cavities: { count: 1, gap: 0.0092, webs: 0.83, view: 0.73 },
    weight: 1.7,
    rigidity: 52,
    serviceLimit: 115,
    source: 'judgement: ten years outdoors',
  },
  {
    id: 'triple-wall-16',
    name: '16 mm triple-wall polycarbonate, new',
    material: 'polycarbonate',
    kind: 'multiwall',
    thickness: 0.016,
    index: 1.586,
    sheets: 3,
    transmittance: range(0.66, 0.72, 0.76, 'data sheet'),
    emittance: 0.9,
    conductance: Number.POSITIVE_INFINITY,
    cavities: { count: 2, gap: 0.0075, webs: 0.53, view: 0.85 },
    weight: 2.7,
    rigidity: 150,
    serviceLimit: 115,
    source:
      'makers of 16 mm triple-wall sheet (U 2.3 to 2.4 W/m²K in a window test); cavities 7.5 mm, webs of 0.4 mm every 20 mm; view between webs that radiate again: crossed strings (Hottel)',
  },
  {
    id: 'annealed-4',
    name: '4 mm annealed glass',
    material: 'glass',
    kind: 'annealed',
    thickness: 0.004,
    index: 1.526,
    sheets: 1,
    transmittance: range(0.82, 0.838, 0.85, 'textbook'),
    emittance: 0.88,
    conductance: Number.POSITIVE_INFINITY,
    weight: 10,
    serviceLimit: 110,
    source:
      'D&B cover data; EN 572-2 float; cracks where its edge stays 40 K colder than its middle (EN 12150-1, note)',
  },
  {
    id: 'unit-4-12-4',
    name: 'salvaged sealed unit, 4-12-4',
    material: 'glass',
    kind: 'sealed-unit',
    thickness: 0.02,
    leaf: 0.004,
    index: 1.526,
    sheets: 2,
    transmittance: range(0.35, 0.68, 0.74, 'judgement'),
    emittance: 0.88,
    conductance: Number.POSITIVE_INFINITY,
    cavities: { count: 1, gap: 0.012, webs: 0, view: 1 },
    weight: 20,
    serviceLimit: 80,
    source:
      'EN 673: 12 mm of air 0.17 m²K/W; tinted and low-emissivity units pass 0.35 to 0.6: measure; the seal lasts to 80 °C',
  },
  {
    id: 'unit-split-4',
    name: 'one pane of a split window unit, 4 mm',
    material: 'glass',
    kind: 'sealed-unit',
    thickness: 0.004,
    index: 1.526,
    sheets: 1,
    transmittance: range(0.5, 0.82, 0.85, 'judgement'),
    emittance: 0.88,
    conductance: Number.POSITIVE_INFINITY,
    weight: 10,
    serviceLimit: 110,
    source: 'D&B cover data; annealed; tinted and low-emissivity panes pass 0.35 to 0.6 and look clear: measure',
  },
  {
    id: 'fibreglass-1',
    name: '1 mm translucent fibreglass',
    material: 'fibreglass',
    kind: 'fibreglass',
    thickness: 0.001,
    index: 1.54,
    sheets: 1,
    transmittance: range(0.7, 0.8, 0.85, 'judgement'),
    emittance: 0.9,
    conductance: Number.POSITIVE_INFINITY,
    weight: 1.45,
    serviceLimit: 95,
    source: 'D&B cover data (fibreglass 0.7 to 0.87, falling with age)',
  },
  {
    id: 'acrylic-4',
    name: '4 mm acrylic',
    material: 'acrylic',
    kind: 'acrylic',
    thickness: 0.004,
    index: 1.49,
    sheets: 1,
    transmittance: range(0.89, 0.91, 0.92, 'data sheet'),
    emittance: 0.9,
    conductance: 50,
    weight: 4.8,
    serviceLimit: 85,
    source: 'EN ISO 7823-1: index 1.49, 92 % of light',
  },
  {
    id: 'film-etfe',
    name: '0.1 mm ETFE film',
    material: 'fluorofilm',
    kind: 'film',
    thickness: 0.0001,
    index: 1.4,
    sheets: 1,
    transmittance: range(0.91, 0.93, 0.95, 'data sheet'),
    emittance: 0.62,
    longWave: 0.3,
    conductance: Number.POSITIVE_INFINITY,
    weight: 0.175,
    serviceLimit: 150,
    source:
      'makers: index 1.40; passes about 0.3 of room-temperature radiation and throws back 0.08, as thin fluoropolymer films do',
  },
  {
    id: 'film-pe',
    name: '0.2 mm greenhouse film',
    material: 'greenhouseFilm',
    kind: 'film',
    thickness: 0.0002,
    index: 1.51,
    sheets: 1,
    transmittance: range(0.8, 0.87, 0.9, 'data sheet'),
    emittance: 0.48,
    longWave: 0.45,
    conductance: Number.POSITIVE_INFINITY,
    weight: 0.185,
    serviceLimit: 60,
    source: 'EN 13206 thermal film of 0.2 mm: passes about 0.45 of room-temperature radiation (0.7 without additives)',
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
