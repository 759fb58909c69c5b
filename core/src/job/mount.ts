import type { Finding, Words } from '../care';
import { memberOf } from '../catalogue';
import { tiltsOf } from '../document';
import type { Drawing } from '../draw';
import { type Family, families, whyNotOn } from '../families';
import {
  bareSide,
  gustPressure,
  guyPull,
  type MountDesign,
  type MountedPanel,
  type MountKind,
  mounts,
  netCoefficients,
  type WindLoad,
  windOn,
} from '../mounts';
import { measured, weighs } from '../quantity';
import type { Purchase } from '../shop';
import { fluidState } from '../thermal';
import { tiltOf } from './conditions';
import { carryFindings, carryWords } from './mountCarries';
import type { OpenJob } from './open';

/** m/s. Gust that a stand is looked at under when nobody says one. Builders guess half of it. */
export const usualGust = 40;
/** kg. A block that one pair of hands can lay. */
const block = 20;

/** The panel as its stand meets it. */
function mounted({ job, panels }: OpenJob, index: number): MountedPanel {
  const panel = panels[index];
  if (!panel) throw new RangeError(`no panel ${index}`);
  const { length, width, depth } = panel.design.outside;
  const { turned } = panel.document;
  return {
    prefix: panel.document.id,
    upslope: turned ? width : length,
    across: turned ? length : width,
    depth,
    mass: panel.design.dryMass + (panel.design.hydraulic?.volume ?? 0) * fluidState('water', 20).density,
    tilts: tiltsOf(job.site),
  };
}

/** The stand of a panel; nothing while none is chosen. */
export function mountOf(open: OpenJob, index: number): MountDesign | undefined {
  const chosen = open.panels[index]?.document.mount;
  if (!chosen) return undefined;
  return memberOf(mounts, 'mount', chosen.kind).open(chosen.parameters).under(mounted(open, index));
}

/** A panel from the side, on its stand or on the bare ground. */
export function sideOf(open: OpenJob, index: number): Drawing {
  const own = Object.values(open.panels[index]?.design.drawings ?? {}).find(({ side }) => side);
  if (own) return own.draw();
  const tilt = liesLevel(open, index) ? 0 : tiltOf(open.job);
  return mountOf(open, index)?.side ?? bareSide({ ...mounted(open, index), tilt });
}

/** Whether a panel lies level by itself. */
const liesLevel = ({ panels }: OpenJob, index: number): boolean =>
  memberOf<Family>(families, 'kind of heater', panels[index]?.document.family ?? '').lies === 'level';

/** What a gust does to a panel at the worst of its tilts, on its stand or lying on its own edges. */
export function windOf(open: OpenJob, index: number): WindLoad & { speed: number } {
  const panel = mounted(open, index);
  const mount = mountOf(open, index);
  const speed = open.job.site.gust ?? usualGust;
  const standMass = (mount?.parts ?? []).reduce((sum, part) => sum + part.mass * part.count, 0);
  const loads = tiltsUnder(open, index).map((tilt) =>
    windOn({
      speed,
      exposure: mount?.exposure ?? 'open',
      upslope: panel.upslope,
      across: panel.across,
      tilt,
      low: mount?.low ?? 0,
      mass: panel.mass + standMass,
      base: mount?.base ?? panel.upslope * Math.max(0.2, Math.cos((tilt * Math.PI) / 180)),
    }),
  );
  const worst = loads.reduce((most, one) => (one.ballast > most.ballast ? one : most));
  return { ...worst, speed };
}

/** Tilts that a panel is to stand: its mount's own, level where it lies so by itself, else those of the place. */
function tiltsUnder(open: OpenJob, index: number): number[] {
  const own = mountOf(open, index)?.tilt;
  if (own !== undefined) return [own];
  return liesLevel(open, index) ? [0] : mounted(open, index).tilts.map(({ tilt }) => tilt);
}

/** How the panes stand the same gust at every tilt, the worst of it. */
export function paneWindFindings(open: OpenJob): Finding[] {
  return open.panels.flatMap(({ design }, index) => {
    const panel = mounted(open, index);
    const mount = mountOf(open, index);
    const pressure = gustPressure(open.job.site.gust ?? usualGust);
    const exposure = mount?.exposure ?? 'open';
    const area = panel.upslope * panel.across;
    const found = tiltsUnder(open, index).map((tilt) => {
      const { up, down } = netCoefficients({ exposure, tilt, area });
      return design.underWind({ outward: pressure * up, inward: pressure * down, tilt });
    });
    return found.find((one) => one.length > 0) ?? [];
  });
}

/** What is bought to keep a panel where it is: blocks by weight, or guys. */
export function anchorage(open: OpenJob, index: number): Purchase[] {
  const mount = mountOf(open, index);
  const prefix = `${open.panels[index]?.document.id}/stand`;
  if (!mount || mount.held.by === 'none' || mount.held.by === 'fixings') return [];
  const { ballast } = windOf(open, index);
  if (ballast <= 0) return [];
  if (mount.held.by === 'ballast') {
    const blocks = Math.ceil(ballast / block);
    return [
      {
        id: `${prefix}-ballast`,
        name: `Ballast, blocks of ${measured('mass', block, 0)}`,
        quantity: blocks,
        unit: 'each',
        priceKey: 'ballast',
        rule: 'what lifting, toppling or sliding asks for in the gust, no safety factor in it',
        // It lies on the base and is carried by nobody with the panel.
        mass: 0,
      },
    ];
  }
  const four = (id: string, name: string, priceKey: string, rule: string): Purchase => ({
    id: `${prefix}-${id}`,
    name,
    quantity: 4,
    unit: 'each',
    priceKey,
    rule,
    mass: 0,
  });
  return [
    four('guy', 'Guys, stainless wire with turnbuckles', 'guy', 'one a corner, at 45° to the ground'),
    four('ground-anchor', 'Ground anchors', 'ground-anchor', 'one a guy, tested by pulling'),
  ];
}

/** Wind is said wherever a stand is chosen: it is the number that builders guess worst. */
export function mountFindings(open: OpenJob): Finding[] {
  return open.panels.flatMap(({ document }, index): Finding[] => {
    const mount = mountOf(open, index);
    if (!document.mount || !mount) return [];
    const wind = windOf(open, index);
    const { speed, pull, force, ballast, way } = wind;
    const path = `${open.panels[index]?.path}.mount`;
    const why = whyNotOn(document.family, document.mount.kind);
    // What does not stand there at all is not held against the wind there.
    if (why !== undefined)
      return [
        {
          code: 'stand-unfit',
          severity: 'clash',
          path: `${path}.kind`,
          values: { stand: mounts[document.mount.kind as MountKind].name, why },
        },
      ];
    const { held } = mount;
    const carries = carryFindings(
      mounted(open, index),
      document.mount as { kind: MountKind; parameters: Record<string, unknown> },
      path,
    );
    if (held.by === 'fixings')
      return [
        ...carries,
        {
          code: 'fixings-pull',
          severity: 'caution',
          path: `${path}.kind`,
          values: { speed, pull, each: force / held.count, count: held.count, what: held.what },
        },
      ];
    if (ballast <= 0) return carries;
    if (held.by === 'none')
      return [
        ...carries,
        { code: 'wind-lifts', severity: 'caution', path: `${path}.kind`, values: { speed, pull, ballast, way } },
      ];
    return [
      ...carries,
      {
        code: held.by === 'guys' ? 'guys-hold' : 'ballast-holds',
        severity: 'note',
        path: `${path}.parameters.anchor`,
        values: { speed, pull, ballast, way, guy: guyPull(wind) },
      },
    ];
  });
}

const stands = 'Your local code and an engineer decide.';

export const mountWords: Record<string, Words> = {
  ...carryWords,
  'stand-unfit': (values) => ({
    headline: 'it does not go on that stand',
    detail: `${values.text('stand')}: ${values.text('why')}.`,
    remedy: 'Choose another stand, or none.',
  }),
  'wind-lifts': (values, say) => ({
    headline: `wind ${values.text('way')} it`,
    detail: `A gust of ${say.quantity('speed', values.number('speed'), 0)} pulls at a panel of this size with what ${say.quantity('mass', values.number('pull'), 0)} weigh.`,
    remedy: `Lay ${say.quantity('mass', values.number('ballast'), 0)} on the base or anchor it for as much, each panel, and a safety factor on top. Feet slide on wet ground at 0.4 of what they bear. ${stands}`,
  }),
  'ballast-holds': (values, say) => ({
    headline: `${say.quantity('mass', values.number('ballast'), 0)} of ballast`,
    detail: `A gust of ${say.quantity('speed', values.number('speed'), 0)} ${values.text('way')} it without that much on its base; it is in the buy list, with no safety factor.`,
    remedy: `Lay it low and tie it to the base. ${stands}`,
  }),
  'guys-hold': (values, say) => ({
    headline: 'four guys hold it',
    detail: `In a gust of ${say.quantity('speed', values.number('speed'), 0)} each guy and its anchor must hold what ${say.quantity('mass', weighs(values.number('guy')), 0)} weigh, with no safety factor.`,
    remedy: `Pull each anchor by as much before you trust it. ${stands}`,
  }),
  'fixings-pull': (values, say) => ({
    headline: `each ${values.text('what')} holds ${say.quantity('mass', weighs(values.number('each')), 0)}`,
    detail: `A gust of ${say.quantity('speed', values.number('speed'), 0)} pulls at the panel with what ${say.quantity('mass', values.number('pull'), 0)} weigh, parted among ${values.number('count')}; an edge or corner of a roof sees more.`,
    remedy: `What they are screwed into must hold that, and a safety factor on top, and bear the panel with its water and the snow. ${stands}`,
  }),
};
