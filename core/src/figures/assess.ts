import type { OpenJob } from '../job';
import { designConditions } from '../job';
import type { Readout, Section, SectionSource } from '../readout';
import type { ThermalState } from '../thermal';
import { efficiencyCurve } from './bandCurves';
import type { Figures, HeaterFigures } from './evaluate';
import { heaterReadouts } from './readouts';
import { stillReadouts } from './still';

/** Everything that faces show of one heater: figures with their derivations, and sections of a few kinds, worked out when they are shown. */
export interface Assessment {
  readouts: Readout[];
  sections: SectionSource[];
}

/** Steps of halving in which the moment of an exposure is found: to a thousandth of its rise. */
const halvings = 10;
/** kg/s per m² at which water is as good as held at its temperature. */
const holding = 1;

/**
 * A heater that stands, at the moment of its exposure at which it gathers what it gathers in the mean: at rest it would gather nothing, and
 * all of its sun would be lost.
 */
function stateInMean(
  open: OpenJob,
  { inlet, gain, usefulHeat, work }: HeaterFigures,
  index: number,
): ThermalState | undefined {
  const thermal = open.panels[index]?.design.thermal;
  if (!thermal || !work || gain === undefined || usefulHeat === undefined) return undefined;
  const at = (water: number) =>
    thermal.state({ ...work.boundary, inlet: water, massFlow: holding * thermal.apertureArea });
  let [cold, hot] = [inlet, inlet + gain];
  for (let step = 0; step < halvings; step += 1) {
    const middle = (cold + hot) / 2;
    if (at(middle).usefulHeat > usefulHeat) cold = middle;
    else hot = middle;
  }
  return at((cold + hot) / 2);
}

/** Where the sun on the aperture goes. */
function balanceOf(open: OpenJob, figures: Figures, index: number): SectionSource {
  return {
    id: 'paths',
    title: 'Where the sun goes',
    make: () => {
      const heater = figures.perHeater[index];
      if (!heater?.work) return undefined;
      const stands = heater.massFlow === 0 && heater.gain !== undefined;
      const state = (stands && stateInMean(open, heater, index)) || heater.work.state;
      return { kind: 'balance', irradiance: figures.conditions.irradiance, paths: state.paths };
    },
  };
}

/** Efficiency with its band over the rise of the inlet above the air. */
function curveOf(open: OpenJob, figures: Figures, index: number): SectionSource {
  return {
    id: 'efficiency-curve',
    title: 'Efficiency',
    deep: true,
    make: () => {
      const efficiency = figures.perHeater[index]?.efficiency;
      return {
        kind: 'curve',
        x: { title: 'water in above air', kind: 'temperatureDifference' },
        y: { title: 'efficiency on the pane', kind: 'number', digits: 1 },
        points: efficiencyCurve(open.job).flatMap(({ rise, efficiency: band }) => (band ? [{ x: rise, ...band }] : [])),
        ...(efficiency === undefined
          ? {}
          : { now: { x: designConditions.inlet - designConditions.air, y: efficiency } }),
        note: 'At the design sun and flow. The point: as the figures above.',
      };
    },
  };
}

function stillOf(open: OpenJob, figures: Figures, index: number): SectionSource {
  return {
    id: 'still',
    title: 'When nothing flows',
    deep: true,
    make: () => ({ kind: 'figures', readouts: stillReadouts(open, figures, index) }),
  };
}

/** The sections of one heater of a job; nothing is worked out before it is shown. */
export function heaterSections(open: OpenJob, figures: Figures, index: number): SectionSource[] {
  const design = open.panels[index]?.design;
  const heater = figures.perHeater[index];
  if (!design || !heater) throw new RangeError(`no heater ${index}`);
  return [
    balanceOf(open, figures, index),
    stillOf(open, figures, index),
    ...(heater.work ? (design.sections?.(heater.work) ?? []) : []),
    curveOf(open, figures, index),
  ];
}

/** What there is to show of one heater of a job. */
export function assess(open: OpenJob, figures: Figures, index: number): Assessment {
  const sections = heaterSections(open, figures, index);
  const design = open.panels[index]?.design;
  return { readouts: design ? heaterReadouts(figures, design, index) : [], sections };
}

/** One section by its id, worked out; undefined where the heater has none such, or nothing to show in it. */
export function sectionOf(sections: readonly SectionSource[], id: string): Section | undefined {
  const source = sections.find((one) => one.id === id);
  return source && made(source);
}

function made({ id, title, make }: SectionSource): Section | undefined {
  const body = make();
  return body && { id, title, ...body };
}

/** What a deep section came to, or why it did not. */
export type DeepSection = { section: Section } | { id: string; title: string; trouble: string };

/** The sections that take longer than a frame, each by itself: one that cannot be worked out says why and spoils no other. */
export function deepSections(sections: readonly SectionSource[]): DeepSection[] {
  return sections.flatMap((source): DeepSection[] => {
    if (!source.deep) return [];
    const { id, title } = source;
    try {
      const section = made(source);
      return section ? [{ section }] : [];
    } catch (error) {
      return [{ id, title, trouble: error instanceof Error ? error.message : String(error) }];
    }
  });
}
