import {
  headersCompared,
  type ManifoldModel,
  manifoldFlow,
  narrowestEven,
  unevenness,
  type WaterAt,
} from '../../hydraulic';
import { formatNumber, measured } from '../../quantity';
import type { SectionBody, SectionSource } from '../../readout';
import { type PlateModel, plateAtWork } from '../../thermal';
import type { HeaterAtWork } from '../family';
import { plateSections } from '../plate/sections';

/** How one harp shares its water, and what an uneven share or a blocked riser does to it. */
export interface WaterCheck {
  /** Header's bore area over those of all risers: the rule of thumb asks for 1. */
  areaRatio: number;
  /** Most over least of the risers' flows. */
  unevenness: number;
  /** K between the hottest and the coldest riser's outlet. */
  spread: number;
  /** Share of the gain that the uneven flow costs. */
  cost: number;
  /** One riser in the middle blocked: share of the gain that it costs, and °C of its plate. */
  blocked: { riser: number; cost: number; plate: number };
}

/** The share of the water of a harp at work. */
export function waterCheck(
  thermal: PlateModel,
  { description, query }: ManifoldModel,
  { boundary, state, water }: HeaterAtWork & { water: NonNullable<HeaterAtWork['water']> },
): WaterCheck {
  const { risers, riserBore, headerBore } = description;
  const { branches } = water.state;
  const even = plateAtWork(thermal, boundary, state).heat;
  const at = (shares: readonly number[]) => plateAtWork(thermal, boundary, state, shares);
  const uneven = at(branches);
  const ends = uneven.water.map((line) => line[line.length - 1] ?? boundary.inlet);
  const riser = Math.floor(risers / 2);
  const plugged = at(
    manifoldFlow({ ...query(water.at), blocked: riser }).fractions.map((share, one) => (one === riser ? 0 : share)),
  );
  const costOf = (heat: number) => (even > 0 ? Math.max(0, 1 - heat / even) : 0);
  return {
    areaRatio: headerBore ** 2 / (risers * riserBore ** 2),
    unevenness: unevenness(branches),
    spread: Math.max(...ends) - Math.min(...ends),
    cost: costOf(uneven.heat),
    blocked: { riser, cost: costOf(plugged.heat), plate: Math.max(...(plugged.plate[riser] ?? []).flat()) },
  };
}

function percent(share: number): string {
  return share < 0.001 ? 'less than 0.1 %' : `${formatNumber(100 * share, share < 0.02 ? 1 : 0)} %`;
}

/** Headers that could be taken, each with how evenly it feeds the risers. */
function headerChoices({ description: { headers }, query }: ManifoldModel, at: WaterAt) {
  const compared = headersCompared(
    query(at),
    headers.choices.map(({ bore }) => bore),
  );
  const advised = narrowestEven(compared);
  return compared.map((one, place) => {
    const { id, name } = headers.choices[place] ?? { id: '', name: '' };
    return {
      set: id,
      name,
      value: { value: one.unevenness, kind: 'ratio' as const, digits: 2 },
      chosen: id === headers.chosen,
      ...(one === advised ? { advised: 'even enough' } : {}),
    };
  });
}

/** What only a harp can show: how its risers share the water, and what another header would make of it. */
export function harpSections(thermal: PlateModel, hydraulic: ManifoldModel, work: HeaterAtWork): SectionSource[] {
  const { water } = work;
  if (!water || water.state.branches.length === 0) return plateSections(thermal, work);
  const shares = (): SectionBody => ({
    kind: 'shares',
    layer: 'tube',
    shares: water.state.branches,
  });
  const headers = (): SectionBody => {
    const { unevenness: most, spread, cost, areaRatio, blocked } = waterCheck(thermal, hydraulic, { ...work, water });
    return {
      kind: 'choices',
      path: hydraulic.description.headers.path,
      lead: `The fullest riser carries ${formatNumber(most, 2)} times the leanest; their water comes out ${measured('temperatureDifference', spread)} apart. That costs ${percent(cost)} of the gain. The rule of thumb (header as wide as all risers together, ${formatNumber(areaRatio, 2)} here against 1) asks for more than it gives back.`,
      choices: headerChoices(hydraulic, water.at),
      tail: `A riser blocked in the middle costs ${percent(blocked.cost)} of the gain, and its strip stands at ${measured('temperature', blocked.plate, 0)}. Find it with a touch probe on a stick: never with a hand, it burns.`,
    };
  };
  return [
    { id: 'shares', title: 'Share of each riser', make: shares },
    { id: 'headers', title: 'Flow balance', deep: true, make: headers },
    ...plateSections(thermal, work),
  ];
}
