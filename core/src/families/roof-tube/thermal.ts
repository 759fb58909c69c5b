import { entry, materials } from '../../catalogue';
import { tubeMass } from '../../shop';
import type { PipeStoreDescription } from '../../thermal';
import type { HeaterDocument } from '../family';
import type { RoofTubeLayout } from './layout';

export function roofTubeDescription(layout: RoofTubeLayout, known: HeaterDocument['known']): PipeStoreDescription {
  const { parameters, pipe, bore, pitch, volume } = layout;
  const paint = entry('coating', parameters.paint);
  const stuff = materials[pipe.material ?? 'pvc'];
  return {
    count: parameters.pipes,
    diameter: pipe.outerDiameter,
    bore,
    length: parameters.length,
    pitch,
    conductivity: stuff.conductivity,
    volume,
    dry: parameters.pipes * tubeMass(pipe) * parameters.length * stuff.heatCapacity,
    absorptance: paint.absorptance,
    emittance: paint.emittance,
    known,
  };
}
