/**
 * The names and shapes that core keeps, checked against its sources by `front-door.test.ts`. SI; °C for temperatures,
 * degrees for angles, azimuth clockwise from true north. Add freely; change nothing here without a reason in the commit.
 */
export interface FrontDoor {
  sunPosition(query: { at: Date; latitude: number; longitude: number; elevation?: number; refraction?: boolean }): {
    zenith: number;
    azimuth: number;
  };
  incidenceAngle(query: { zenith: number; azimuth: number; tilt: number; aim: number }): number;
  clearSky(query: { at: Date; latitude: number; longitude: number; elevation: number; turbidity?: number }): {
    beamNormal: number;
    diffuse: number;
    global: number;
  };
  splitGlobal(query: { global: number; zenith: number; dayOfYear: number }): { beamNormal: number; diffuse: number };
  tiltedIrradiance(query: {
    model: 'isotropic' | 'hdkr' | 'perez';
    beamNormal: number;
    diffuse: number;
    global: number;
    zenith: number;
    azimuth: number;
    tilt: number;
    aim: number;
    dayOfYear: number;
    albedo: number;
  }): { beam: number; sky: number; ground: number; total: number };

  coverOptics(query: { covers: { index: number; extinction: number; thickness: number }[]; incidence: number }): {
    transmittance: number;
    reflectance: number;
    absorptance: number;
  };
  topLoss(query: {
    plateTemperature: number;
    ambientTemperature: number;
    skyTemperature: number;
    windCoefficient: number;
    tilt: number;
    plateEmittance: number;
    covers: { emittance: number /** m, below this cover. */; gap: number }[];
  }): { coefficient: number; flux: number; coverTemperatures: number[] };
  finEfficiency(query: { conductance: number; lossCoefficient: number; pitch: number; tubeDiameter: number }): number;
  efficiencyFactor(query: {
    lossCoefficient: number;
    pitch: number;
    outerDiameter: number;
    innerDiameter: number;
    finEfficiency: number;
    /** W/mK; Infinity is legal. */
    bondConductance: number;
    filmCoefficient: number;
  }): number;
  heatRemovalFactor(query: {
    massFlow: number;
    heatCapacity: number;
    area: number;
    lossCoefficient: number;
    efficiencyFactor: number;
  }): number;
  tubeFilm(query: { massFlow: number; innerDiameter: number; length: number; temperature: number; fluid: FluidLike }): {
    coefficient: number;
    reynolds: number;
  };

  pressureDrop(query: {
    massFlow: number;
    innerDiameter: number;
    length: number;
    roughness: number;
    temperature: number;
    fluid: FluidLike;
    minorLoss?: number;
  }): number;
  manifoldFlow(query: {
    risers: number;
    riserLength: number;
    riserBore: number;
    headerBore: number;
    pitch: number;
    massFlow: number;
    temperature: number;
    connection: 'diagonal' | 'same-side';
  }): { fractions: number[]; pressureDrop: number };

  planLengths(query: {
    pieces: { id: string; length: number; count: number }[];
    stock: { id: string; length: number; price: number; available?: number }[];
    kerf: number;
    trim?: number;
  }): Promise<{
    bars: { stock: string; count: number; pieces: { id: string }[] }[];
    cost: number;
    /** m. */
    waste: number;
    proof: { status: 'proved' | 'gap' /** money */; bound: number };
  }>;
  planSheets(query: {
    pieces: { id: string; width: number; height: number; count: number; turn: boolean }[];
    stock: { id: string; width: number; height: number; price: number; available?: number }[];
    kerf: number;
  }): Promise<{ sheets: unknown[]; cost: number /** m². */; waste: number; bound: number }>;

  familyIds: string[];
  defaultJob(familyId: string, options?: { units?: 'metric' | 'imperial' }): JobLike;
  parseJob(input: unknown): { ok: true; job: JobLike } | { ok: false; errors: { path: string; message: string }[] };
  evaluateJob(job: JobLike, conditions?: ConditionsLike): FiguresLike;
  evaluateBands(
    job: JobLike,
    conditions?: ConditionsLike,
    options?: { samples?: number; seed?: number },
  ): Record<string, { low: number; likely: number; high: number } | undefined>;
}

type FluidLike = 'water' | { density: number; viscosity: number; conductivity: number; heatCapacity: number };
type JobLike = import('./src/index').Job;
interface ConditionsLike {
  irradiance?: number;
  beamShare?: number;
  incidence?: number;
  air?: number;
  skyTemperature?: number;
  wind?: number;
  inlet?: number;
  massFlow?: number;
}
/** A figure that has no meaning for a job, or cannot be worked out, is not there. */
interface FiguresLike {
  apertureArea: number;
  usefulHeat?: number;
  gain?: number;
  outletTemperature?: number;
  efficiency?: number;
  stagnationTemperature?: number;
  waterVolume: number;
  dryMass: number;
  wetMass: number;
  cost?: number;
  perHeater: unknown[];
}
