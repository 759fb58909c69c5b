/**
 * Properties of the stuff things are made of, near 20 to 60 °C.
 * Sources: D&B = Duffie and Beckman, Solar Engineering of Thermal Processes; EN ISO 10456 for building materials.
 */
export interface Material {
  name: string;
  /** W/mK. */
  conductivity: number;
  /** kg/m³. */
  density: number;
  /** J/kgK. */
  heatCapacity: number;
  /** °C. What it stands for years without harm. */
  serviceLimit: number;
  source: string;
}

export const materials = {
  copper: {
    name: 'copper',
    conductivity: 385,
    density: 8940,
    heatCapacity: 385,
    serviceLimit: 200,
    source: 'D&B table of metals (385 W/mK); limit: soft-soldered joints, not the metal',
  },
  aluminium: {
    name: 'aluminium',
    conductivity: 211,
    density: 2700,
    heatCapacity: 900,
    serviceLimit: 200,
    source: 'D&B (211 W/mK, commercial sheet)',
  },
  glass: {
    name: 'glass',
    conductivity: 1,
    density: 2500,
    heatCapacity: 750,
    serviceLimit: 200,
    source: 'EN 572-1 soda-lime glass; tempered, by EN 12150-1 to 250 °C',
  },
  polycarbonate: {
    name: 'polycarbonate',
    conductivity: 0.2,
    density: 1200,
    heatCapacity: 1200,
    serviceLimit: 115,
    source: 'EN ISO 10456; service limit by makers of multiwall sheet, 115 to 120 °C',
  },
  softwood: {
    name: 'softwood',
    conductivity: 0.13,
    density: 500,
    heatCapacity: 1600,
    serviceLimit: 85,
    source: 'EN ISO 10456 (500 kg/m³); limit: judgement, timber dries, creeps and browns above 80 to 90 °C',
  },
  plywood: {
    name: 'plywood',
    conductivity: 0.13,
    density: 500,
    heatCapacity: 1600,
    serviceLimit: 85,
    source: 'EN ISO 10456 (500 kg/m³)',
  },
  mineralWool: {
    name: 'mineral wool board',
    conductivity: 0.036,
    density: 60,
    heatCapacity: 1030,
    serviceLimit: 250,
    source: 'EN 13162 declared value of a 60 kg/m³ board; binder burns off above 250 °C',
  },
  polyiso: {
    name: 'polyisocyanurate board',
    conductivity: 0.024,
    density: 32,
    heatCapacity: 1400,
    serviceLimit: 120,
    source: 'EN 13165 declared value; service limit by makers about 120 °C',
  },
  polystyrene: {
    name: 'polystyrene foam',
    conductivity: 0.034,
    density: 30,
    heatCapacity: 1450,
    serviceLimit: 75,
    source: 'EN 13164; softens at 75 to 80 °C',
  },
} as const satisfies Record<string, Material>;

export type MaterialId = keyof typeof materials;
