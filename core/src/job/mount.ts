import type { Finding, Words } from '../care';
import { memberOf } from '../catalogue';
import type { Drawing } from '../draw';
import { fluidState } from '../heat';
import { bareSide, type MountDesign, type MountedPanel, mounts, type WindLoad, windOn } from '../mounts';
import { tiltOf } from './conditions';
import type { OpenJob } from './open';

/** m/s. Gust that a stand is looked at under when nobody says one. Builders guess half of it. */
export const usualGust = 40;

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
    mass: panel.design.dryMass + panel.design.water.volume * fluidState('water', 20).density,
    tilts: job.site.standing.tilts,
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
  return mountOf(open, index)?.side ?? bareSide({ ...mounted(open, index), tilt: tiltOf(open.job) });
}

/** What a gust does to a panel at the worst of its tilts, on its stand or lying on its own edges. */
export function windOf(open: OpenJob, index: number): WindLoad & { speed: number } {
  const panel = mounted(open, index);
  const mount = mountOf(open, index);
  const speed = open.job.site.gust ?? usualGust;
  const standMass = (mount?.parts ?? []).reduce((sum, part) => sum + part.mass * part.count, 0);
  const loads = panel.tilts.map(({ tilt }) =>
    windOn({
      speed,
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

/** Wind is said wherever a stand is chosen: it is the number that builders guess worst. */
export function mountFindings(open: OpenJob): Finding[] {
  return open.panels.flatMap(({ document }, index): Finding[] => {
    if (!document.mount) return [];
    const { speed, pull, ballast, topples } = windOf(open, index);
    return ballast > 0
      ? [
          {
            code: 'wind-lifts',
            severity: 'caution',
            path: `panels.${index}.mount.kind`,
            values: { speed, pull, ballast, way: topples ? 'topples' : 'lifts' },
          },
        ]
      : [];
  });
}

export const mountWords: Record<string, Words> = {
  'wind-lifts': (values, say) => ({
    headline: `wind ${values.text('way')} it`,
    detail: `A gust of ${say.quantity('speed', values.number('speed'), 0)} pulls at a panel of this size with what ${say.quantity('mass', values.number('pull'), 0)} weigh.`,
    remedy: `Lay ${say.quantity('mass', values.number('ballast'), 0)} on the base or anchor it for as much, each panel, and a safety factor on top. Your local code and an engineer decide.`,
  }),
};
