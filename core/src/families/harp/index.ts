import { entry, serviceLimits } from '../../catalogue';
import type { PanelDesign } from '../family';
import { definePlateFamily } from '../plateFamily';
import { harpDrawing } from './drawing';
import { harpFindings, harpWords } from './findings';
import { harpHeat } from './heat';
import { layOut, rowOf } from './layout';
import { harpParameters, standardHarp } from './parameters';
import { harpParts } from './parts';
import { harpWater } from './water';

/** Parallel risers between two headers, on a plate, in a glazed box. */
export const harp = definePlateFamily({
  id: 'harp',
  name: 'Harp',
  meaning: 'Parallel risers between two headers, on a plate, in a glazed box.',
  schema: harpParameters,
  standard: (habit) => ({
    parameters: standardHarp(habit),
    absorber: 'soldered-foil',
    box: 'rebated-timber',
    glazing: 'tempered-glass',
    turned: false,
  }),
  words: harpWords,
  design: (build): PanelDesign => {
    const layout = layOut(build);
    const water = harpWater(layout);
    const heat = harpHeat(build, layout, water.volume);
    const { parts, purchases } = harpParts(build, layout);
    const { box, glazing, parameters, riserTube, headerTube } = layout;
    const onTubes = build.absorber.on(rowOf(build, riserTube));
    const paint = entry('coating', parameters.paint);
    const at = (field: string) => `${build.path}.${field}`;
    const mass = (list: readonly { mass: number; count?: number }[]) =>
      list.reduce((sum, one) => sum + one.mass * (one.count ?? 1), 0);
    return {
      areas: { aperture: heat.apertureArea, absorber: heat.absorberArea, gross: heat.grossArea },
      outside: { length: box.outside.length, width: box.outside.width },
      drawing: (view) => harpDrawing[view](build, layout),
      plate: { thickness: build.absorber.thickness, density: build.absorber.density },
      stack: {
        layers: [
          { name: glazing.name, thickness: glazing.pane.thickness },
          { name: 'air', thickness: parameters.airGap },
          { name: 'plate and tube', thickness: build.absorber.thickness + riserTube.outerDiameter },
          { name: 'room under the tube', thickness: (headerTube.outerDiameter - riserTube.outerDiameter) / 2 },
          { name: box.limits.insulation.name, thickness: box.insulation },
          { name: 'back', thickness: box.back },
        ],
        ...layout.stack,
      },
      parts,
      purchases,
      heat,
      water,
      materials: [
        { name: onTubes.limit.name, place: 'plate', limit: onTubes.limit.temperature, path: at('absorber.kind') },
        { name: paint.name, place: 'plate', limit: paint.serviceLimit, path: at('parameters.paint') },
        { ...serviceLimits.joint, place: 'plate', joint: true },
        { ...serviceLimits.sensor, place: 'plate' },
        { ...box.limits.insulation, place: 'insulation', path: at('box.parameters.insulation') },
        { ...box.limits.back, place: 'back', path: at('box.parameters.back') },
        { ...box.limits.side, place: 'side', path: at('box.parameters.board') },
        { ...serviceLimits.cable, place: 'side' },
        { name: glazing.name, place: 'inner pane', limit: glazing.serviceLimit, path: at('glazing.parameters.pane') },
        { ...serviceLimits.gasket, place: 'bearing' },
        { ...serviceLimits.sealant, place: 'bearing' },
      ],
      findings: harpFindings(build, layout),
      dryMass: mass(parts) + mass(purchases),
    };
  },
});
