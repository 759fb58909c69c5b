import { entry, materials, serviceLimits } from '../../catalogue';
import { troughModel } from '../../thermal';
import { type Family, fieldsOf, type HeaterDesign, problemsOf } from '../family';
import { seatTemplate } from '../kit/seat';
import { massOf } from '../kit/totals';
import { capTemplate } from './caps';
import { troughViews } from './drawing';
import { troughFindings, troughWords } from './findings';
import { troughHydraulic } from './hydraulic';
import { layOut } from './layout';
import { standardTrough, troughParameters } from './parameters';
import { troughParts, troughPurchases } from './parts';
import { troughPorts } from './ports';
import { troughSections } from './sections';
import { fullSun } from './standing';
import { troughSteps } from './steps';
import { troughDescription } from './thermal';

/** °C that the glue of mirror film holds at. Makers of polyester film for windows: 80. */
const filmLimit = 80;

/** Pipe ripped lengthwise, lined with mirror film, a black pipe along it. */
export const trough: Family = {
  id: 'trough',
  name: 'Trough',
  meaning:
    'Ripped plastic pipe lined with mirror film, a black pipe along the light: hot for the hours in which the sun stands square.',
  standardLoop: 'summer',
  turns: false,
  words: troughWords,
  standard: (habit) => ({ family: 'trough', parameters: standardTrough(habit), count: 1, turned: false }),
  problems: (panel) => problemsOf(troughParameters, ['parameters'], panel.parameters),
  fields: (panel) => fieldsOf(troughParameters, 'parameters', panel.parameters),
  open: (panel, path, standing): HeaterDesign => {
    const layout = layOut(troughParameters.parse(panel.parameters));
    const { parameters, pipe, outside, bearer } = layout;
    const thermal = troughModel(troughDescription(layout, panel.known));
    const parts = troughParts(panel.id, layout);
    const purchases = troughPurchases(panel.id, layout);
    const mass = massOf(parts, purchases);
    const at = (field: string) => `${path}.parameters.${field}`;
    const paint = entry('coating', parameters.paint);
    const stuff = materials[pipe.material ?? 'pvc'];
    const hottest = thermal.state(fullSun).places.pipe ?? fullSun.air;
    return {
      areas: {
        aperture: thermal.apertureArea,
        // What lies in the sun; the pipe itself is a part of it.
        absorber: thermal.apertureArea,
        gross: outside.length * outside.width,
      },
      outside,
      runs: { count: parameters.troughs, words: parameters.troughs === 1 ? 'trough' : 'troughs' },
      ports: troughPorts(panel.id, layout),
      trials: [
        {
          id: 'height',
          words:
            'rip one pipe, line it, and hold the black pipe in it at noon: move it up and down until a sheet of paper behind it is darkest; type that height; only then drill the caps',
        },
      ],
      drawings: troughViews(panel.id, layout),
      parts,
      purchases,
      thermal,
      hydraulic: troughHydraulic(layout),
      sections: (work) => troughSections(layout, thermal, work, standing),
      materials: [
        { name: paint.name, place: 'pipe', limit: paint.serviceLimit, path: at('paint') },
        { ...serviceLimits.tinAntimony, place: 'pipe', joint: 'tin-antimony' },
        { name: stuff.name, place: 'mirror', limit: stuff.serviceLimit, path: at('pipe') },
        { name: 'mirror film', place: 'mirror', limit: filmLimit },
        { ...serviceLimits.sensor, place: 'water' },
      ],
      growth: [],
      findings: troughFindings(path, layout, { hottest }, standing),
      underWind: () => [],
      templates: () => [
        capTemplate(panel.id, layout),
        seatTemplate(`${panel.id}/seat`, 'Seat of a trough in its bearer', {
          diameter: pipe.outerDiameter,
          depth: layout.seat,
          board: bearer.width,
          first: layout.places[0] ?? 0,
          pitch: layout.pitch,
          count: parameters.troughs,
        }),
      ],
      wettedMetal: 'copper',
      steps: () => troughSteps(panel.id, layout, mass, hottest),
      dryMass: mass,
    };
  },
};
