import type { PanelDesign } from '../family';
import { definePlateFamily } from '../plateFamily';
import { harpDrawing } from './drawing';
import { harpFindings, harpWords } from './findings';
import { harpHeat } from './heat';
import { layOut } from './layout';
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
    const mass = (list: readonly { mass: number; count?: number }[]) =>
      list.reduce((sum, one) => sum + one.mass * (one.count ?? 1), 0);
    return {
      areas: { aperture: heat.apertureArea, absorber: heat.absorberArea, gross: heat.grossArea },
      outside: { length: box.outside.length, width: box.outside.width },
      drawing: (view) => harpDrawing[view](build, layout),
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
        { name: build.absorber.name, place: 'plate', limit: 200, path: `${build.path}.absorber.kind` },
        { ...box.limits.insulation, place: 'insulation face', path: `${build.path}.box.parameters.insulation` },
        {
          name: glazing.name,
          place: 'cover',
          limit: glazing.serviceLimit,
          path: `${build.path}.glazing.parameters.pane`,
        },
      ],
      findings: harpFindings(build, layout),
      dryMass: mass(parts) + mass(purchases),
    };
  },
});
