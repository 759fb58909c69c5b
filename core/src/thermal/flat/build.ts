import type { OperatingConditions, StandardNormals, UncertainInput, Workmanship } from '../contract';
import { type TopBalance, type TopLossConditions, topBalance, windCoefficient } from '../losses';
import { type CoverSheet, diffuseIncidence, sheetsFor, transmittanceAbsorptance } from '../optics';
import { fourthPower, stefan } from '../radiation';
import { tubesLitRound } from '../roundTubes';
import { valueAt } from '../spread';
import { stackConductance } from '../stack';
import { litArea } from '../sunlit';
import { valuesOf } from '../uncertain';
import type { FlatDescription } from './description';

/** A flat absorber with one value for each uncertain input. */
export interface Built<D extends FlatDescription = FlatDescription> {
  description: D;
  /** The value of an input by its id; `otherwise` where the model has none of that name. */
  value(id: string, otherwise: number): number;
  covers: CoverSheet[];
  dirt: number;
  absorptance: number;
  emittance: number;
  /** W/m²K of absorber, and times the book value. */
  back: number;
  backFactor: number;
  /** W/m²K of absorber. */
  edge: number;
  wind: number;
  sun: number;
  /** m² of perfect absorber under a perfect opening that would keep as much of the light of sky and of ground, at a tilt (degrees). */
  diffuse(tilt: number): { sky: number; ground: number };
}

/** Takes every uncertain input of a description at its deviate. */
export function build<D extends FlatDescription>(
  description: D,
  inputs: readonly UncertainInput[],
  deviates: StandardNormals,
  workmanship: Workmanship = 'well made',
): Built<D> {
  const value = valuesOf(inputs, deviates, workmanship);
  const outermost = description.covers.length - 1;
  const backFactor = value('back', 1);
  let known: { tilt: number; sky: number; ground: number } | undefined;
  const built: Built<D> = {
    description,
    value,
    covers: description.covers.flatMap((cover, index) =>
      sheetsFor({
        ...cover,
        transmittance:
          index === outermost
            ? value('transmittance', cover.transmittance.likely)
            : valueAt(cover.transmittance, deviates.transmittance ?? 0),
      }),
    ),
    dirt: value('dirt', 1),
    absorptance: value('absorptance', description.absorptance.likely),
    emittance: value('emittance', description.emittance.likely),
    back: stackConductance(description.back) * backFactor,
    backFactor,
    edge: (stackConductance(description.rim) * description.rim.area * value('edge', 1)) / description.absorberArea,
    wind: value('wind', 1),
    sun: value('sun', 1),
    diffuse: (tilt) => {
      if (known?.tilt !== tilt) {
        const angles = diffuseIncidence(tilt);
        known = { tilt, sky: keptArea(built, angles.sky), ground: keptArea(built, angles.ground) };
      }
      return known;
    },
  };
  return built;
}

/** m² of perfect absorber under a perfect opening that would keep as much of a beam at an angle (degrees): A (τα) of the lit part. */
function keptArea(built: Built, incidence: number): number {
  const { sunlit, tubes } = built.description;
  const area = litArea(sunlit, incidence);
  if (area === 0) return 0;
  if (!tubes) return transmittanceAbsorptance(built.covers, incidence, built.absorptance) * area;
  const { hit, taken } = tubesLitRound(tubes, incidence);
  return transmittanceAbsorptance(built.covers, incidence, built.absorptance, taken) * area * hit;
}

/** Share of a beam on the aperture that the absorber keeps, at an angle (degrees): (τα) K_b on aperture. */
export function beamAcceptance(built: Built, incidence: number): number {
  return (keptArea(built, incidence) * built.dirt) / built.description.apertureArea;
}

/**
 * Share of the sun on the aperture that the absorber keeps, (τα)e on aperture: beam, sky and ground each at its own angle through
 * covers and dirt, on the part of the absorber that it lights there. Diffuse angles by Brandemuehl and Beckman (1980).
 */
export function opticalShare(built: Built, boundary: OperatingConditions): number {
  const { apertureArea } = built.description;
  const diffuse = built.diffuse(boundary.tilt);
  const rest = 1 - boundary.beamShare;
  const beam = boundary.beamShare > 0 ? boundary.beamShare * keptArea(built, boundary.incidence) : 0;
  const sky = rest > 0 ? rest * (1 - boundary.groundShare) * diffuse.sky : 0;
  const ground = rest > 0 && boundary.groundShare > 0 ? rest * boundary.groundShare * diffuse.ground : 0;
  return ((beam + sky + ground) * built.dirt) / apertureArea;
}

/** W/m² of absorber that it keeps of the sun (S). */
export function absorbedSun(built: Built, boundary: OperatingConditions): number {
  const { apertureArea, absorberArea } = built.description;
  return (opticalShare(built, boundary) * boundary.irradiance * built.sun * apertureArea) / absorberArea;
}

/** What the top of an absorber meets, all but its own temperature. */
export function topConditions(built: Built, boundary: OperatingConditions): TopLossConditions {
  const { description } = built;
  return {
    ambientTemperature: boundary.air,
    skyTemperature: boundary.surroundings,
    windCoefficient:
      windCoefficient(boundary.wind * built.wind, Math.sqrt(description.grossArea)) * built.value('surface', 1),
    tilt: boundary.tilt,
    plateEmittance: built.emittance,
    covers: description.covers,
    // A dry absorber has nothing to steam.
    ...(description.wet && boundary.massFlow > 0 ? { wet: description.wet } : {}),
  };
}

/** W that steam carries from a wet, open absorber to its cover, at its temperature (°C); nothing where there is none. */
export function steamLoss(built: Built, boundary: OperatingConditions, absorber: number): number | undefined {
  const { description } = built;
  if (!description.wet) return undefined;
  const { wet, ...dry } = topConditions(built, boundary);
  if (wet === undefined) return undefined;
  return description.absorberArea * (topBalance({ ...dry, wet }).flux(absorber) - topBalance(dry).flux(absorber));
}

export interface Losses {
  top: number;
  back: number;
  edge: number;
}

/**
 * W/m² by temperature (°C) that a back open to the weather loses: wind as at the front, and radiation to ground at air temperature and, as
 * far as it leans over, sky. The sky's temperature follows from what the front sees (`surroundings` is the mean of both by the fourth power).
 */
function bareBackLoss(built: Built, boundary: OperatingConditions, emittance: number): (absorber: number) => number {
  const wind = windCoefficient(boundary.wind * built.wind, Math.sqrt(built.description.grossArea));
  const skyShare = (1 + Math.cos((boundary.tilt * Math.PI) / 180)) / 2;
  const air = fourthPower(boundary.air);
  // Upside down there is no sky in front to tell from.
  const sky = skyShare > 0.01 ? (fourthPower(boundary.surroundings) - (1 - skyShare) * air) / skyShare : air;
  const seen = (1 - skyShare) * sky + skyShare * air;
  return (absorber) => wind * (absorber - boundary.air) + emittance * stefan * (fourthPower(absorber) - seen);
}

/** What an absorber loses at a boundary, ready to be asked at many temperatures of it (°C); W/m² of absorber. */
export interface LossesAt {
  byWay(absorber: number): Losses;
  total(absorber: number): number;
  top: TopBalance;
}

/** What an absorber loses at a boundary: all that does not hang on its temperature is worked out once. */
export function lossesAt(built: Built, boundary: OperatingConditions): LossesAt {
  const { bareBack } = built.description;
  const { air } = boundary;
  const top = topBalance(topConditions(built, boundary));
  const bare = bareBack === undefined ? undefined : bareBackLoss(built, boundary, bareBack);
  const back = (absorber: number) => (bare ? built.backFactor * bare(absorber) : built.back * (absorber - air));
  return {
    byWay: (absorber) => ({ top: top.flux(absorber), back: back(absorber), edge: built.edge * (absorber - air) }),
    total: (absorber) => top.flux(absorber) + back(absorber) + built.edge * (absorber - air),
    top,
  };
}
