import type { Finding, Words } from '../care';
import { entries } from '../catalogue';
import { type MountDesign, type MountedPanel, type MountKind, mounts } from '../mounts';
import { gravity } from '../quantity';
import { partialLoadMoment, sectionModulus, timberBending } from '../statics';

/** Pa in the rails of a mount under a panel that lies on them with its water, evenly; nothing where it has none. */
export function railStress({ rails }: MountDesign, { mass, across }: MountedPanel): number | undefined {
  if (!rails) return undefined;
  const { count, span, wide, deep } = rails;
  // Where a rail goes over several spans each takes its share of what lies along it.
  const onSpan = ((mass * gravity) / count) * Math.min(1, span / across);
  return partialLoadMoment(span, span, onSpan) / sectionModulus(wide, deep);
}

/** Rails that would break, in years, under the panel and its water; mended by the leanest stouter timber that bears it. */
export function carryFindings(
  panel: MountedPanel,
  chosen: { kind: MountKind; parameters: Record<string, unknown> },
  path: string,
): Finding[] {
  const { kind, parameters } = chosen;
  const under = (timber: unknown) => mounts[kind].open({ ...parameters, timber }).under(panel);
  const now = mounts[kind].open(parameters).under(panel);
  const stress = railStress(now, panel);
  if (stress === undefined || !now.rails || stress <= timberBending) return [];
  const timber = entries('timber').find(({ id }) => id === parameters.timber);
  const bears = entries('timber')
    .filter(
      (one) => one.tape === timber?.tape && mounts[kind].schema.safeParse({ ...parameters, timber: one.id }).success,
    )
    .sort((a, b) => a.width * a.thickness - b.width * b.thickness)
    .find(({ id }) => (railStress(under(id), panel) ?? 0) <= timberBending);
  return [
    {
      code: 'stand-rail-weak',
      severity: 'clash',
      path: `${path}.parameters.timber`,
      values: { mass: panel.mass, span: now.rails.span, stress, most: timberBending },
      ...(bears ? { fix: bears.id } : {}),
    },
  ];
}

export const carryWords: Record<string, Words> = {
  'stand-rail-weak': (values, say) => ({
    headline: 'rails of the stand too weak',
    detail: `${say.quantity('mass', values.number('mass'), 0)} with its water lie on rails that are held ${say.length(values.number('span'))} apart: they are bent by ${say.quantity('stress', values.number('stress'), 1)}, and softwood bears ${say.quantity('stress', values.number('most'), 1)} for years. Snow comes on top.`,
    remedy: 'Take a stouter timber, or fewer in one frame.',
  }),
};
