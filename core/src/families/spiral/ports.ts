import { sized } from '../../quantity';
import type { Port } from '../family';
import { falls } from '../kit/ports';
import { type SpiralLayout, spiralPoints, tail } from './layout';

/** The outer end of each hose, cold, and its inner end, hot: tails, joined by a manifold where there are several. */
export function spiralPorts(prefix: string, layout: SpiralLayout): Port[] {
  const { parameters, tray, bed, hose } = layout;
  const { starts } = parameters;
  const joined = starts > 1 ? `, to the manifold of ${starts} outlets` : '';
  const fitting = `${prefix}/${starts > 1 ? 'manifold' : 'hose-tail'}`;
  const ends = spiralPoints(layout, 0);
  const outer = tray?.exits.outer[0] ?? ends.at(-1) ?? { x: 0, y: 0 };
  const inner = tray?.exits.inner[0] ?? ends[0] ?? { x: 0, y: 0 };
  const end = `${starts === 1 ? 'hose' : `${starts} hoses`} ${sized(hose.outerDiameter, true)} outside, ${sized(tail)} of tail${tray ? ' under the back' : ''}${joined}`;
  const up = tray ? 0 : bed + hose.outerDiameter / 2;
  return [
    {
      id: 'cold',
      name: starts === 1 ? 'cold in' : 'cold in, first hose',
      at: outer,
      up,
      end,
      fitting,
      fall: falls.cold,
    },
    { id: 'hot', name: starts === 1 ? 'hot out' : 'hot out, first hose', at: inner, up, end, fitting, fall: falls.hot },
  ];
}
