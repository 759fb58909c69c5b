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
  /** 1/K, along its length; left out where nothing hangs on it. */
  expansion?: number;
  /** Pa. Modulus of elasticity and bending stress that it bears for years; left out where nothing hangs on it. */
  stiffness?: { modulus: number; bears: number };
  source: string;
}

const known = {
  copper: {
    name: 'copper',
    conductivity: 385,
    density: 8940,
    heatCapacity: 385,
    serviceLimit: 200,
    expansion: 16.6e-6,
    stiffness: { modulus: 120e9, bears: 50e6 },
    source: 'D&B table of metals (385 W/mK); EN 12449 (growth); limit: soft-soldered joints, not the metal',
  },
  aluminium: {
    name: 'aluminium',
    conductivity: 211,
    density: 2700,
    heatCapacity: 900,
    serviceLimit: 200,
    expansion: 23.1e-6,
    stiffness: { modulus: 70e9, bears: 40e6 },
    source: 'D&B (211 W/mK, commercial sheet); EN 1999-1-1 (growth)',
  },
  glass: {
    name: 'glass',
    conductivity: 1,
    density: 2500,
    heatCapacity: 750,
    serviceLimit: 200,
    expansion: 9e-6,
    stiffness: { modulus: 70e9, bears: 15e6 },
    source:
      'EN 572-1 soda-lime glass (9e-6, 70 GPa); bears: annealed 15 MPa for years by EN 16612, tempered three times that; tempered stands 250 °C by EN 12150-1',
  },
  polycarbonate: {
    name: 'polycarbonate',
    conductivity: 0.2,
    density: 1200,
    heatCapacity: 1200,
    serviceLimit: 115,
    expansion: 65e-6,
    stiffness: { modulus: 2.4e9, bears: 15e6 },
    source: 'EN ISO 10456; EN 16153 (growth); service limit by makers of multiwall sheet, 115 to 120 °C',
  },
  steel: {
    name: 'galvanised steel',
    conductivity: 50,
    density: 7850,
    heatCapacity: 460,
    serviceLimit: 200,
    expansion: 12e-6,
    stiffness: { modulus: 210e9, bears: 120e6 },
    source: 'EN 1993-1-1 (210 GPa, 12e-6); EN 10346 DX51D, yields from 140 MPa; zinc stands 200 °C',
  },
  acrylic: {
    name: 'acrylic',
    conductivity: 0.2,
    density: 1190,
    heatCapacity: 1450,
    serviceLimit: 85,
    expansion: 70e-6,
    stiffness: { modulus: 3.1e9, bears: 15e6 },
    source: 'EN ISO 7823-1; EN ISO 10456; softens above 85 °C',
  },
  fibreglass: {
    name: 'fibreglass sheet',
    conductivity: 0.25,
    density: 1450,
    heatCapacity: 1200,
    serviceLimit: 95,
    expansion: 30e-6,
    stiffness: { modulus: 6e9, bears: 25e6 },
    source: 'EN 1013, translucent polyester sheet; makers: yellows and blooms above 95 °C',
  },
  fluorofilm: {
    name: 'fluoropolymer film',
    conductivity: 0.23,
    density: 1750,
    heatCapacity: 1100,
    serviceLimit: 150,
    expansion: 100e-6,
    source: 'makers of ETFE film: 150 °C',
  },
  greenhouseFilm: {
    name: 'greenhouse film',
    conductivity: 0.33,
    density: 920,
    heatCapacity: 2200,
    serviceLimit: 60,
    expansion: 180e-6,
    source: 'EN 13206, covering films of polyethylene; makers: 60 °C',
  },
  softwood: {
    name: 'softwood',
    conductivity: 0.13,
    density: 500,
    heatCapacity: 1600,
    serviceLimit: 85,
    expansion: 5e-6,
    source:
      'EN ISO 10456 (500 kg/m³); EN 1995-1-1 (growth along the grain); limit: judgement, timber dries, creeps and browns above 80 to 90 °C',
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
  polyethylene: {
    name: 'polyethylene',
    conductivity: 0.38,
    density: 945,
    heatCapacity: 2000,
    serviceLimit: 60,
    expansion: 180e-6,
    source:
      'EN 12201-1, PE 80 (growth 180e-6); EN ISO 10456 between low and high density; makers: 60 °C without pressure',
  },
  epdm: {
    name: 'EPDM rubber',
    conductivity: 0.25,
    density: 1150,
    heatCapacity: 1000,
    serviceLimit: 120,
    source: 'EN ISO 10456; makers of heater hose: 120 °C',
  },
  softPvc: {
    name: 'soft PVC',
    conductivity: 0.14,
    density: 1250,
    heatCapacity: 1000,
    serviceLimit: 50,
    source: 'EN ISO 10456, PVC with 40 % softener; makers of garden hose: 50 °C',
  },
  pvc: {
    name: 'PVC',
    conductivity: 0.17,
    density: 1390,
    heatCapacity: 900,
    serviceLimit: 60,
    expansion: 60e-6,
    source: 'EN ISO 10456; EN 1452-1 (growth); softens from 60 °C',
  },
} as const satisfies Record<string, Material>;

export type MaterialId = keyof typeof known;
export const materials: Readonly<Record<MaterialId, Material>> = known;
