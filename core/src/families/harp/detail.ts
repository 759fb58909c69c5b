import { bore, drillFor } from '../../catalogue';
import { type Drawing, dim, leader, type Point, type Shape, shape } from '../../draw';
import type { PlateBuild } from '../plateFamily';
import type { HarpLayout } from './layout';
import { fieldRange, type HarpParameters } from './parameters';

/** Points round a circle from one angle to another, degrees. */
function arc(centre: Point, radius: number, from: number, to: number): Point[] {
  return Array.from({ length: 25 }, (_, step) => {
    const angle = ((from + ((to - from) * step) / 24) * Math.PI) / 180;
    return { x: centre.x + radius * Math.cos(angle), y: centre.y + radius * Math.sin(angle) };
  });
}

/** A header cut through at a riser: how far it goes in, and whether its rim is through the wall all round. */
export function detail(build: PlateBuild<HarpParameters>, layout: HarpLayout): Drawing {
  const { tube, headerTube, parameters, entryLimits } = layout;
  const prefix = build.id;
  const outer = headerTube.outerDiameter / 2;
  const inner = bore(headerTube) / 2;
  const riser = tube.outerDiameter / 2;
  const middle = { x: 0, y: 0 };
  // Half a header above and below the hole that the riser goes through.
  const open = (Math.asin(Math.min(1, riser / outer)) * 180) / Math.PI;
  const shell: Shape = shape.outline(
    'header',
    [...arc(middle, outer, open, 360 - open), ...arc(middle, inner, 360 - open, open)],
    { part: `${prefix}/header-cold` },
  );
  const end = outer - parameters.entry;
  const length = outer + 0.035;
  const wall = (y: number): Shape =>
    shape.rect('tube', { part: `${prefix}/riser`, x: end, y, width: length - end, height: tube.wall });
  const entry = fieldRange('entry');
  const least = Number.isFinite(entryLimits.least) ? entryLimits.least : entry.high;
  return {
    title: `Riser in header of ${prefix}`,
    shapes: [shell, wall(riser - tube.wall), wall(-riser)],
    labels: [
      leader('riser', { x: length, y: 0 }, { x: length + 0.006, y: 0.004 }, { size: tube.outerDiameter, fine: true }),
      leader(
        'header',
        { x: 0, y: outer },
        { x: length + 0.006, y: outer },
        { size: headerTube.outerDiameter, fine: true },
      ),
      leader(
        'hole',
        { x: outer * 0.7, y: -riser },
        { x: length + 0.006, y: -outer },
        { size: drillFor(tube.outerDiameter, headerTube.tape).diameter, fine: true },
      ),
    ],
    dimensions: [
      dim.between(
        'entry',
        'riser entry, from the crown',
        { x: end, y: riser },
        { x: outer, y: riser },
        {
          value: parameters.entry,
          offset: outer - riser + 0.008,
          edit: {
            path: 'parameters.entry',
            low: Math.min(least, parameters.entry),
            high: Math.max(entryLimits.most, parameters.entry),
            lowReason: 'the rim would not be through the wall',
            highReason: 'it would choke the header',
          },
        },
      ),
    ],
  };
}
