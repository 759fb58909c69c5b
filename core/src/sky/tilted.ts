import { cos, radians, sin } from './angles';
import { airMass, extraterrestrial } from './clear';
import { incidenceAngle } from './sun';

export type SkyModel = 'isotropic' | 'hdkr' | 'perez';

export interface TiltedQuery {
  model: SkyModel;
  /** W/m² square to the sun. */
  beamNormal: number;
  /** W/m² from the sky on the flat. */
  diffuse: number;
  /** W/m² of both on the flat; what the ground sends back is a share of it. */
  global: number;
  zenith: number;
  azimuth: number;
  tilt: number;
  aim: number;
  dayOfYear: number;
  /** Share of the sun that the ground sends back; 0.2 grass, 0.7 snow. */
  albedo: number;
}

/** W/m² on the pane. */
export interface TiltedIrradiance {
  beam: number;
  sky: number;
  ground: number;
  total: number;
}

/** Perez et al. (1990), table 6: upper edge of the clearness bin, then F11 F12 F13 F21 F22 F23. */
const perezBins: readonly (readonly [number, number, number, number, number, number, number])[] = [
  [1.065, -0.008, 0.588, -0.062, -0.06, 0.072, -0.022],
  [1.23, 0.13, 0.683, -0.151, -0.019, 0.066, -0.029],
  [1.5, 0.33, 0.487, -0.221, 0.055, -0.064, -0.026],
  [1.95, 0.568, 0.187, -0.295, 0.109, -0.152, -0.014],
  [2.8, 0.873, -0.392, -0.362, 0.226, -0.462, 0.001],
  [4.5, 1.132, -1.237, -0.412, 0.288, -0.823, 0.056],
  [6.2, 1.06, -1.6, -0.359, 0.264, -1.127, 0.131],
  [Number.POSITIVE_INFINITY, 0.678, -0.327, -0.25, 0.156, -1.377, 0.251],
];

/**
 * The sky parted as Perez et al. (1990) do; kappa 1.041 with the zenith in radians, F1 held at or above zero and F2 not.
 *
 * @returns W/m²: `dome` evenly bright, on the flat; `circumsolar` square to the sun; `band` at the horizon, for a wall
 */
export function perezParts(query: Pick<TiltedQuery, 'beamNormal' | 'diffuse' | 'zenith' | 'dayOfYear'>): {
  dome: number;
  circumsolar: number;
  band: number;
} {
  const { beamNormal, diffuse } = query;
  if (diffuse <= 0) return { dome: 0, circumsolar: 0, band: 0 };
  const zenith = radians(query.zenith);
  const cube = 1.041 * zenith ** 3;
  const clearness = ((diffuse + beamNormal) / diffuse + cube) / (1 + cube);
  const brightness = (diffuse * airMass(query.zenith)) / extraterrestrial(query.dayOfYear);
  const [, f11, f12, f13, f21, f22, f23] =
    perezBins.find(([edge]) => clearness < edge) ?? (perezBins[perezBins.length - 1] as (typeof perezBins)[number]);
  const sunward = Math.max(0, f11 + f12 * brightness + f13 * zenith);
  return {
    dome: diffuse * (1 - sunward),
    circumsolar: (diffuse * sunward) / Math.max(cos(85), cos(query.zenith)),
    band: diffuse * (f21 + f22 * brightness + f23 * zenith),
  };
}

const models: Record<SkyModel, (query: TiltedQuery, onPane: number) => number> = {
  isotropic: (query) => (query.diffuse * (1 + cos(query.tilt))) / 2,

  /** Hay and Davies with the horizon correction of Reindl, D&B section 2.16. */
  hdkr: (query, onPane) => {
    const up = Math.max(cos(85), cos(query.zenith));
    const clear = Math.min(1, query.beamNormal / extraterrestrial(query.dayOfYear));
    const beam = query.beamNormal * Math.max(0, cos(query.zenith));
    const bright = query.global > 0 ? Math.sqrt(Math.min(1, beam / query.global)) : 0;
    const dome = ((1 - clear) * (1 + cos(query.tilt))) / 2;
    return query.diffuse * (dome * (1 + bright * sin(query.tilt / 2) ** 3) + (clear * onPane) / up);
  },

  perez: (query, onPane) => perezSky(query, onPane, skyView(query.tilt)),
};

/** View factor from a tilted pane to a sky that nothing hides. */
export function skyView(tilt: number): number {
  return (1 + cos(tilt)) / 2;
}

/**
 * W/m² of the sky on a pane by Perez et al. (1990).
 *
 * @param onPane cosine of the sun's angle to the pane, 0 where the sun does not reach it
 * @param seen view factor to the even part of the sky
 */
export function perezSky(
  query: Parameters<typeof perezParts>[0] & { tilt: number },
  onPane: number,
  seen: number,
): number {
  const { dome, circumsolar, band } = perezParts(query);
  return Math.max(0, dome * seen + circumsolar * onPane + band * sin(query.tilt));
}

/**
 * Sun on a tilted pane from its three sources. With the sun below the horizon only the sky is left, evenly bright.
 *
 * @returns W/m² of beam, sky and ground, and their sum
 */
export function tiltedIrradiance(query: TiltedQuery): TiltedIrradiance {
  const risen = query.zenith < 90;
  const onPane = risen ? Math.max(0, cos(incidenceAngle(query))) : 0;
  const beam = query.beamNormal * onPane;
  const sky = (risen ? models[query.model] : models.isotropic)(query, onPane);
  const ground = (query.global * query.albedo * (1 - cos(query.tilt))) / 2;
  return { beam, sky, ground, total: beam + sky + ground };
}
