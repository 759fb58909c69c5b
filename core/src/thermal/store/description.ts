import type { Range } from '../../catalogue';
import type { OperatingConditions } from '../contract';
import type { FlatDescription } from '../flat/description';
import type { ThermalStack } from '../stack';

/** W/m² on the pane under which a lid is shut: less does not pay for what goes out. Judgement. */
const lidShutBelow = 80;

/** What a heater meets when its lid is shut as the sun says; one without a lid meets what there is. */
export function underLid({ hasLid }: { hasLid: boolean }, boundary: OperatingConditions): OperatingConditions {
  return hasLid && boundary.irradiance < lidShutBelow ? { ...boundary, covered: true } : boundary;
}

/** Tanks behind glass that are their own absorber and store, in an insulated box with a lid or without. */
export interface StoreDescription {
  /** m². Lets sun in. */
  apertureArea: number;
  /** m². Outside to outside, as the wind meets it. */
  grossArea: number;
  /** m. The opening that lets the sun in, along the slope and across it; and how deep its rim stands over the tanks. */
  opening: { length: number; width: number; depth: number };
  covers: FlatDescription['covers'];
  dirt: Range;
  absorptance: Range;
  emittance: Range;
  tanks: {
    /** In series, cold in the first. */
    count: number;
    /** m³ and kg of each. */
    volume: number;
    steel: number;
    /** Share of the opening that they fill, looked at square. */
    fill: number;
    /** They stand along the slope, so that each keeps its warm water on top. */
    upright: boolean;
  };
  /** Share of what falls beside the tanks that the lining still brings to them. */
  lining: Range;
  /** Sides of the box with their area (m²) and what lies in them, from inside out. */
  walls: readonly (ThermalStack & { name: string; area: number })[];
  wallFactor: Range;
  /** A lid that is a mirror when it stands open and insulation when it is shut. */
  lid?: {
    /** Hinged at the low or at the high edge of the pane. */
    hinge: 'low' | 'high';
    /** m along the slope. */
    length: number;
    /** Degrees between mirror and pane when open; 0 is shut, 180 lies in the plane of the pane. */
    angle: number;
    reflectance: Range;
    insulation: { thickness: number; conductivity: number };
  };
  known?: Readonly<Record<string, Range>> | undefined;
}
