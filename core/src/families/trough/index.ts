import { entry, materials, serviceLimits } from '../../catalogue';
import { troughModel } from '../../thermal';
import { defineFamily } from '../defineFamily';
import { fullSunLeaning } from '../kit/fullSun';
import { seatTemplate } from '../kit/seat';
import { grossOf } from '../kit/totals';
import { withstands } from '../kit/withstands';
import { capTemplate } from './caps';
import { troughViews } from './drawing';
import { troughFindings, troughWords } from './findings';
import { troughHydraulic } from './hydraulic';
import { layOut } from './layout';
import { standardTrough, troughParameters } from './parameters';
import { troughParts, troughPurchases } from './parts';
import { troughPorts } from './ports';
import { troughSections } from './sections';
import { troughSteps } from './steps';
import { troughDescription } from './thermal';

/** °C that the glue of mirror film holds at. Makers of polyester film for windows: 80. */
const filmLimit = 80;

/** Pipe ripped lengthwise, lined with mirror film, a black pipe along it. */
export const trough = defineFamily({
  id: 'trough',
  name: 'Trough',
  subtitle: 'mirror troughs on a black pipe',
  meaning:
    'Ripped plastic pipe lined with mirror film, a black pipe along the light: hot for the hours in which the sun stands square.',
  standardLoop: 'summer',
  turns: false,
  words: troughWords,
  schema: troughParameters,
  standard: standardTrough,
  layOut,
  thermal: (layout, known) => troughModel(troughDescription(layout, known)),
  list: (id, layout) => ({ parts: troughParts(id, layout), purchases: troughPurchases(id, layout) }),
  design: ({ id, path, at, parameters, layout, thermal, mass, standing }) => {
    const { pipe, outside, bearer } = layout;
    const hottest = thermal.state(fullSunLeaning).places.pipe ?? fullSunLeaning.air;
    return {
      // What lies in the sun; the pipe itself is a part of it.
      areas: grossOf(thermal, outside),
      outside,
      runs: { count: parameters.troughs, words: parameters.troughs === 1 ? 'trough' : 'troughs' },
      ports: troughPorts(id, layout),
      trials: [
        {
          id: 'height',
          words:
            'rip one pipe, line it, and hold the black pipe in it at noon: move it up and down until a sheet of paper behind it is darkest; type that height; only then drill the caps',
        },
      ],
      drawings: troughViews(id, layout),
      hydraulic: troughHydraulic(layout),
      sections: (work) => troughSections(layout, thermal, work, standing),
      materials: [
        withstands('pipe', entry('coating', parameters.paint), at('paint')),
        { ...serviceLimits.tinAntimony, place: 'pipe', joint: 'tin-antimony' },
        withstands('mirror', materials[pipe.material ?? 'pvc'], at('pipe')),
        { name: 'mirror film', place: 'mirror', limit: filmLimit },
        { ...serviceLimits.sensor, place: 'water' },
      ],
      findings: troughFindings(path, layout, { hottest }, standing),
      templates: () => [
        capTemplate(id, layout),
        seatTemplate(`${id}/seat`, 'Seat of a trough in its bearer', {
          diameter: pipe.outerDiameter,
          depth: layout.seat,
          board: bearer.width,
          first: layout.places[0] ?? 0,
          pitch: layout.pitch,
          count: parameters.troughs,
        }),
      ],
      wettedMetal: 'copper',
      steps: () => troughSteps(id, layout, mass, hottest),
    };
  },
});
