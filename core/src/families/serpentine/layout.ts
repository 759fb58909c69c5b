import type { Exit } from '../../boxes';
import { entry } from '../../catalogue';
import { layStack, type PlateLayout, rowOf } from '../plate/layout';
import type { PlateBuild } from '../plateFamily';
import { type Bend, bendOf } from './bends';
import type { SerpentineParameters } from './parameters';

/** m. Room round the tube where it goes through the end board, for growth and for laying in. */
const exitClearance = 0.002;

/** Where everything is; x runs along the runs from the end where the water comes in. */
export interface SerpentineLayout extends PlateLayout {
  parameters: SerpentineParameters;
  bend: Bend;
  /** x at which the straight runs begin and end. */
  straight: { from: number; to: number };
  /** Comes out at the end where it went in: an even number of runs does. */
  sameEnd: boolean;
  /** m. Cut lengths. */
  cuts: { first: number; middle: number; last: number };
  /** m of tube in all, bends too. */
  wayLength: number;
}

export function layOut(build: PlateBuild<SerpentineParameters>): SerpentineLayout {
  const { parameters, glazing, absorber } = build;
  const box = build.box.around(glazing, build.turned);
  const tube = entry('tube', parameters.tube);
  const bend = bendOf(parameters, tube);
  const { runs: count, pitch, runLength, stub } = parameters;
  const middle = box.outside.width / 2;
  const runs = Array.from({ length: count }, (_, index) => middle + (index - (count - 1) / 2) * pitch);
  const endGap = (box.room.length - runLength - 2 * bend.reach) / 2;
  const from = box.wall + box.edgeStrip + endGap + bend.reach;
  const to = from + runLength;
  const sameEnd = count % 2 === 0;
  const stack = layStack({
    absorber,
    box,
    glazing,
    airGap: parameters.airGap,
    tube,
    thickest: tube.outerDiameter + (bend.joints > 0 ? 0.0022 : 0),
  });
  // A run shorter than its two sockets leaves a plate in name only; it clashes by its turns.
  const plateSpan = { from: from - bend.bare, to: Math.max(from - bend.bare + 0.01, to + bend.bare) };
  const exit = (side: Exit['side'], along: number): Exit => ({
    side,
    along,
    up: stack.heights.centre,
    diameter: tube.outerDiameter + 2 * exitClearance,
  });
  const out = to + stub;
  const cuts = { first: out, middle: runLength, last: sameEnd ? out : box.outside.length - from + stub };
  const onTubes = absorber.on(rowOf(build, { tube, count, pitch, length: plateSpan.to - plateSpan.from }));
  return {
    ...stack,
    parameters,
    box,
    glazing,
    tube,
    bend,
    runs,
    pitch,
    plateSpan,
    endMetal: tube.outerDiameter,
    thick:
      bend.joints > 0
        ? [
            { from: from - bend.reach, to: from - bend.bare },
            { from: to + bend.bare, to: to + bend.reach },
          ]
        : [],
    finWidth: onTubes.plate.width,
    plates: onTubes.parts,
    straight: { from, to },
    sameEnd,
    cuts,
    wayLength: cuts.first + cuts.last + (count - 2) * runLength + (count - 1) * bend.way,
    exits: [exit('cold', runs[0] ?? middle), exit(sameEnd ? 'cold' : 'hot', runs[count - 1] ?? middle)],
    endGap,
  };
}
