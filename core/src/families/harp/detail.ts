import { bore, drillFor } from '../../catalogue';
import type { Drawing, Point, Shape } from '../../draw';
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
  const shell: Shape = {
    kind: 'path',
    layer: 'header',
    part: `${prefix}/header-cold`,
    closed: true,
    points: [...arc(middle, outer, open, 360 - open), ...arc(middle, inner, 360 - open, open)],
  };
  const end = outer - parameters.entry;
  const length = outer + 0.035;
  const wall = (y: number): Shape => ({
    kind: 'rect',
    layer: 'tube',
    part: `${prefix}/riser`,
    x: end,
    y,
    width: length - end,
    height: tube.wall,
  });
  const entry = fieldRange('entry');
  const least = Number.isFinite(entryLimits.least) ? entryLimits.least : entry.high;
  return {
    title: `Riser in header of ${prefix}`,
    shapes: [shell, wall(riser - tube.wall), wall(-riser)],
    labels: [
      {
        at: { x: length, y: 0 },
        to: { x: length + 0.006, y: 0.004 },
        words: 'riser',
        size: tube.outerDiameter,
        fine: true,
        anchor: 'start',
      },
      {
        at: { x: 0, y: outer },
        to: { x: length + 0.006, y: outer },
        words: 'header',
        size: headerTube.outerDiameter,
        fine: true,
        anchor: 'start',
      },
      {
        at: { x: outer * 0.7, y: -riser },
        to: { x: length + 0.006, y: -outer },
        words: 'hole',
        size: drillFor(tube.outerDiameter, headerTube.tape).diameter,
        fine: true,
        anchor: 'start',
      },
    ],
    dimensions: [
      {
        id: 'entry',
        label: 'riser entry, from the crown',
        from: { x: end, y: riser },
        to: { x: outer, y: riser },
        offset: outer - riser + 0.008,
        value: parameters.entry,
        edit: {
          path: 'parameters.entry',
          low: Math.min(least, parameters.entry),
          high: Math.max(entryLimits.most, parameters.entry),
          scale: 1,
          offset: 0,
          lowReason: 'the rim would not be through the wall',
          highReason: 'it would choke the header',
        },
      },
    ],
  };
}
