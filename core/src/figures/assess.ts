import type { OpenJob } from '../job';
import { designConditions } from '../job';
import type { Readout, Section, SectionSource } from '../readout';
import { efficiencyCurve } from './bandCurves';
import type { Figures } from './evaluate';
import { heaterReadouts } from './readouts';
import { stillReadouts } from './still';

/** Everything that faces show of one heater: figures with their derivations, and sections of a few kinds, worked out when they are shown. */
export interface Assessment {
  readouts: Readout[];
  sections: SectionSource[];
}

/** Where the sun on the aperture goes. */
function balanceOf(figures: Figures, index: number): SectionSource {
  return {
    id: 'paths',
    title: 'Where the sun goes',
    make: () => {
      const work = figures.perHeater[index]?.work;
      return work && { kind: 'balance', irradiance: figures.conditions.irradiance, paths: work.state.paths };
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
    balanceOf(figures, index),
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
