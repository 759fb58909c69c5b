import type { OperatingConditions, ThermalModel } from '../contract';
import type { FlatModel } from './flatModel';
import type { FlatState } from './working';

/** A model as that of a flat absorber. Throws where it is none. */
export function flatOf(model: ThermalModel | undefined): FlatModel {
  if (!model || !('working' in model)) throw new TypeError('no flat absorber');
  return model as FlatModel;
}

/** The working state of a flat absorber in its own terms. */
export function workingOf(model: ThermalModel | undefined, boundary: OperatingConditions): FlatState {
  return flatOf(model).working(boundary);
}

/** The straight efficiency line on aperture over inlets from the air to 40 K above it: η0 and W/m²K. */
export function lineOf(model: ThermalModel, boundary: OperatingConditions): { intercept: number; slope: number } {
  const at = (rise: number) => model.state({ ...boundary, inlet: boundary.air + rise }).efficiency;
  return { intercept: at(0), slope: ((at(0) - at(40)) * boundary.irradiance) / 40 };
}
