import { NotConverged } from '../thermal';
import { flowInput, flowing, type HydraulicModel, type WaterAt } from './contract';
import { evenEnough, headersCompared, unevenness } from './headers';
import { type ManifoldQuery, manifoldFlow } from './manifold';

/** Risers side by side between two headers. */
export interface ManifoldDescription {
  risers: number;
  /** m. */
  riserLength: number;
  riserBore: number;
  headerBore: number;
  pitch: number;
  connection: 'diagonal' | 'same-side';
  /** Risers lie level across the slope: nothing warms on a rise. */
  across: boolean;
  /** Headers that could be taken, the one that is, and the heater's field that holds it. */
  headers: { choices: readonly { id: string; name: string; bore: number }[]; chosen: string; path: string };
  /** m³. */
  volume: number;
  weakPoint?: string;
  drains: HydraulicModel['drains'];
}

export interface ManifoldModel extends HydraulicModel {
  description: ManifoldDescription;
  /** What the network of risers in the sun is asked. */
  query(at: WaterAt): ManifoldQuery;
}

/** Risers between headers: Darcy, Bernoulli and momentum along the headers, buoyancy in the risers (`manifoldFlow`). */
export function manifoldModel(description: ManifoldDescription): ManifoldModel {
  const { risers, riserLength, riserBore, headerBore, pitch, connection, across, headers } = description;
  const query = (at: WaterAt): ManifoldQuery => {
    const rise = across ? 0 : riserLength * Math.sin((at.tilt * Math.PI) / 180);
    return {
      risers,
      riserLength,
      riserBore,
      headerBore,
      pitch,
      connection,
      ...flowing(at),
      warming: { heat: Math.max(0, at.heat) / risers, rise },
    };
  };
  return {
    description,
    query,
    volume: description.volume,
    open: false,
    ...(description.weakPoint ? { weakPoint: description.weakPoint } : {}),
    drains: description.drains,
    state: (at) => {
      const { pressureDrop, buoyancyHead, fractions } = manifoldFlow(query(at));
      return { drop: pressureDrop, ...(buoyancyHead > 0 ? { buoyancyHead } : {}), branches: fractions };
    },
    mend: (at) => {
      const fed = headers.choices.find(({ bore }) => {
        try {
          return headersCompared(query(at), [bore]).every((one) => one.unevenness <= evenEnough);
        } catch (error) {
          if (error instanceof NotConverged) return false;
          throw error;
        }
      });
      return { path: headers.path, ...(fed ? { fix: fed.id } : {}) };
    },
    readouts: (_, { branches }) => [
      {
        id: 'riserFlow',
        label: 'Riser flow, least to most',
        kind: 'ratio',
        digits: 2,
        values: [unevenness(branches)],
        derivation: {
          name: 'Riser flow, least to most',
          formula: 'pressure round every pair of risers is zero: friction, header speed, and the lift of warm water',
          source: 'Darcy and Weisbach; Bernoulli and momentum along the headers (derived)',
          inputs: [
            { label: 'riser bore', value: riserBore, kind: 'length' },
            { label: 'header bore', value: headerBore, kind: 'length' },
            { label: 'risers', value: risers, kind: 'number', digits: 0 },
          ],
        },
      },
    ],
    derivations: (at) => ({
      drop: {
        name: 'Pressure drop',
        formula: 'friction along the feeding header and through a riser, with the speed that the headers take up',
        source: 'Darcy and Weisbach; Colebrook and White where turbulent',
        inputs: [{ label: 'riser length', value: riserLength, kind: 'length' }, flowInput(at)],
      },
      buoyancyHead: {
        name: 'Natural circulation',
        formula:
          'fall of density by the warming of the risers ÷ 2 × gravity × rise of a riser, mean over the risers by their flow',
        source: 'buoyancy of a column that warms evenly (derived); it helps the pump and is not taken off its work',
        inputs: [
          flowInput(at),
          { label: 'useful heat', value: at.heat, kind: 'power' },
          { label: 'riser length', value: riserLength, kind: 'length' },
        ],
      },
    }),
  };
}
