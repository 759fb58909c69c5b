import type { PanelDesign, WaterDescription } from '../families';
import { modifiersOf, spreadsOf, stackConductance } from '../heat';
import type { QuantityKind } from '../quantity';
import type { Figures, PanelFigures } from './evaluate';

/** How a figure comes about: enough to check it with a pencil. */
export interface Derivation {
  name: string;
  formula: string;
  source: string;
  inputs: { label: string; value: number; kind: QuantityKind | 'number'; digits?: number }[];
}

export const derivedFigures = [
  'gain',
  'efficiency',
  'fin',
  'factor',
  'riserFlow',
  'pressureDrop',
  'lift',
  'stripFlow',
  'steam',
  'dry',
  'aperture',
  'water',
  'weight',
] as const;
export type DerivedFigure = (typeof derivedFigures)[number];

export type Derivations = Partial<Record<DerivedFigure, Derivation>>;

/** Derivations of the figures of one panel of a job; of a figure that cannot be worked out there are none. */
export function panelDerivations(figures: Figures, design: PanelDesign, index: number): Derivations {
  const panel = figures.perPanel[index];
  if (!panel) throw new RangeError(`no panel ${index}`);
  return { ...workDerivations(figures, design, panel), ...plainDerivations(design, panel) };
}

function workDerivations(figures: Figures, design: PanelDesign, panel: PanelFigures): Derivations {
  const { conditions } = figures;
  const { state, usefulHeat, inlet } = panel;
  if (!state || usefulHeat === undefined) return {};
  const { heat, water } = design;
  const spreads = spreadsOf(heat);
  const modifiers = modifiersOf(heat, conditions);
  const flow = { label: 'flow, kg/s', value: panel.massFlow, kind: 'number', digits: 4 } as const;
  const sun = { label: 'sun on the pane', value: conditions.irradiance, kind: 'irradiance' } as const;
  const aperture = { label: 'pane area', value: panel.apertureArea, kind: 'area' } as const;
  const loss = { label: 'loss of the plate, U', value: state.lossCoefficient, kind: 'heatLoss' } as const;
  return {
    gain: {
      name: 'Gain',
      formula: 'useful heat ÷ (flow × heat capacity of water)',
      source: 'heat balance of the water',
      inputs: [
        { label: 'useful heat', value: usefulHeat, kind: 'power' },
        flow,
        { label: 'water in', value: inlet, kind: 'temperature' },
      ],
    },
    efficiency: {
      name: 'Efficiency on the pane',
      formula:
        'F_R × (share kept × sun × pane area − plate area × (loss at air temperature + U × (water in − air))) ÷ (sun × pane area)',
      source: 'Hottel, Whillier and Bliss; Duffie and Beckman, Solar Engineering of Thermal Processes, chapter 6',
      inputs: [
        { label: 'plate area', value: panel.absorberArea, kind: 'area' },
        { label: 'F_R', value: state.heatRemovalFactor, kind: 'number', digits: 3 },
        {
          label: 'share of the sun on the pane that the plate keeps',
          value: state.opticalShare,
          kind: 'number',
          digits: 3,
        },
        { label: 'loss of the plate at air temperature, W/m²', value: state.lossAtAir, kind: 'number', digits: 0 },
        { label: 'incidence modifier of beam, K', value: modifiers.beam, kind: 'number', digits: 2 },
        { label: 'of the sky', value: modifiers.sky, kind: 'number', digits: 2 },
        { label: 'of the ground', value: modifiers.ground, kind: 'number', digits: 2 },
        sun,
        loss,
        { label: 'water in', value: inlet, kind: 'temperature' },
        { label: 'air', value: conditions.air, kind: 'temperature' },
        { label: 'sky and ground look like', value: conditions.surroundings, kind: 'temperature' },
        aperture,
      ],
    },
    fin: {
      name: 'Fin between tubes, F',
      formula: 'tanh(m x) ÷ (m x), m² = U ÷ (conductivity × thickness), x = half of the plate beside the tube',
      source: 'Duffie and Beckman, equation 6.5.12',
      inputs: [
        loss,
        {
          label: 'conductivity × thickness, W/K',
          value: heat.plate.steps[0]?.conductance ?? 0,
          kind: 'number',
          digits: 4,
        },
        { label: 'plate on one tube', value: heat.plate.width, kind: 'length' },
        { label: 'tube, outside', value: heat.tube.outerDiameter, kind: 'length' },
      ],
    },
    factor: {
      name: 'Tube to plate, F′',
      formula: '(1/U) ÷ pitch × (1/(U(D + (pitch − D)F)) + 1/bond + 1/(π d h)), inverted',
      source: 'Duffie and Beckman, equation 6.5.18; film by VDI Heat Atlas G1 and Gnielinski',
      inputs: [
        { label: 'F', value: state.finEfficiency, kind: 'number', digits: 3 },
        { label: 'bond, W/mK', value: spreads.bond.likely, kind: 'number', digits: 0 },
        { label: 'bond, from', value: spreads.bond.low, kind: 'number', digits: 0 },
        { label: 'bond, to', value: spreads.bond.high, kind: 'number', digits: 0 },
        { label: 'film in the tube, h', value: state.filmCoefficient, kind: 'heatLoss', digits: 0 },
        { label: 'Reynolds number', value: state.reynolds, kind: 'number', digits: 0 },
        loss,
      ],
    },
    riserFlow: {
      name: 'Riser flow, least to most',
      formula: 'pressure round every pair of risers is nought: friction, header speed, and the lift of warm water',
      source: 'Darcy and Weisbach; Bernoulli and momentum along the headers (derived)',
      inputs:
        water.kind === 'manifold'
          ? [
              { label: 'riser bore', value: water.riserBore, kind: 'length' },
              { label: 'header bore', value: water.headerBore, kind: 'length' },
              { label: 'risers', value: water.risers, kind: 'number', digits: 0 },
            ]
          : [],
    },
    pressureDrop: pressureDerivation(water, flow),
    lift: {
      name: 'Lift of warm water',
      formula:
        'fall of density by the warming of the risers ÷ 2 × gravity × rise of a riser, mean over the risers by their flow',
      source: 'buoyancy of a column that warms evenly (derived); it helps the pump and is not taken off its work',
      inputs: [
        flow,
        { label: 'useful heat', value: usefulHeat, kind: 'power' },
        ...(water.kind === 'manifold'
          ? [{ label: 'riser length', value: water.riserLength, kind: 'length' } as const]
          : []),
      ],
    },
    stripFlow: {
      name: 'Flow, each strip',
      formula: 'flow of the panel ÷ strips: every feed gets its like',
      source: 'the design flow for each square metre of pane',
      inputs: [
        flow,
        ...(water.kind === 'film'
          ? [{ label: 'strips', value: water.strips, kind: 'number', digits: 0 } as const]
          : []),
      ],
    },
    steam: {
      name: 'Steam to the cover',
      formula: 'top loss of the open, wet plate less that of a sealed one at the same temperature',
      source: 'evaporation by its likeness to convection (derived in heat/losses)',
      inputs: [
        { label: 'wet share of the plate', value: heat.wet ?? 0, kind: 'number', digits: 2 },
        { label: 'plate', value: state.plateTemperature, kind: 'temperature' },
      ],
    },
    dry: {
      name: 'Dry in sun',
      formula: 'the plate temperature at which losses equal the sun kept: 1 000 W/m², air 30 °C, wind 0.5 m/s, no flow',
      source: 'top loss by Hollands (1976) and an iterated balance; Duffie and Beckman, section 6.4',
      inputs: [
        {
          label: 'share of the sun on the pane that the plate keeps',
          value: state.opticalShare,
          kind: 'number',
          digits: 3,
        },
        { label: 'emittance of the plate', value: heat.emittance.likely, kind: 'number', digits: 2 },
        { label: 'back, W/m²K', value: stackConductance(heat.back) * spreads.back.likely, kind: 'heatLoss' },
      ],
    },
  };
}

/** Derivations of what needs no working point. */
function plainDerivations(design: PanelDesign, panel: PanelFigures): Derivations {
  return {
    aperture: {
      name: 'Pane area',
      formula: 'clear length × clear width between the bearings',
      source: 'aperture as in ISO 9488',
      inputs: [{ label: 'pane area', value: design.areas.aperture, kind: 'area' }],
    },
    water: {
      name: 'Holds',
      formula: 'bores × lengths of risers and headers, less what the risers’ ends take up in the headers',
      source: 'geometry',
      inputs: [{ label: 'water', value: panel.waterVolume, kind: 'volume' }],
    },
    weight: {
      name: 'Weight',
      formula: 'every part and bought thing by its size and density; wet with the water in it',
      source: 'densities in the catalogue',
      inputs: [
        { label: 'dry', value: panel.dryMass, kind: 'mass' },
        { label: 'wet', value: panel.wetMass, kind: 'mass' },
      ],
    },
  };
}

/** How the pressure between the ports comes about, by the way that the water goes. */
function pressureDerivation(water: WaterDescription, flow: Derivation['inputs'][number]): Derivation {
  const name = 'Pressure drop';
  switch (water.kind) {
    case 'manifold':
      return {
        name,
        formula: 'friction along the feeding header and through a riser, with the speed that the headers take up',
        source: 'Darcy and Weisbach; Colebrook and White where turbulent',
        inputs: [{ label: 'riser length', value: water.riserLength, kind: 'length' }, flow],
      };
    case 'serial':
      return {
        name,
        formula: '(friction × length ÷ bore + bends × K) × density × speed² ÷ 2',
        source: 'Darcy and Weisbach; Colebrook and White where turbulent; bends by Hooper (1981)',
        inputs: [
          { label: 'tube, all runs', value: water.length, kind: 'length' },
          { label: 'bore', value: water.bore, kind: 'length' },
          { label: 'bends', value: water.bends.count, kind: 'number', digits: 0 },
          flow,
        ],
      };
    case 'slot':
      return {
        name,
        formula: '12 × viscosity × length × flow ÷ (breadth × gap³)',
        source: 'plane Poiseuille flow between two plates, analytic',
        inputs: [
          { label: 'along the flow', value: water.length, kind: 'length' },
          { label: 'across it', value: water.breadth, kind: 'length' },
          { label: 'between the sheets', value: water.gap, kind: 'length' },
          flow,
        ],
      };
    case 'film':
      return {
        name,
        formula: 'none: the water runs down open strips; the pump only lifts it to their heads',
        source: 'open flow',
        inputs: [flow],
      };
    default:
      return water satisfies never;
  }
}
