import { bore, dirt, entry, materials, rimSpread } from '../../catalogue';
import { tubeMass } from '../../shop';
import { fluidState, litArea, openArea, type PlateDescription, type Sunlit } from '../../thermal';
import type { PlateBuild } from '../plateFamily';
import { hotSpace, type PlateLayout, rowOf } from './layout';

/** Share of its swing that the pane swings with the plate: D&B section 6.12, effective heat capacity. */
const paneSwing = 0.3;

/**
 * The row of fins with headers or bends at its ends as an outline under the opening of the box. The outline is as long as the plate's
 * span and what stands at its ends; the share of it that is plate makes its area the plate's own.
 */
function sunlitPlate(layout: PlateLayout, count: number, absorberArea: number): Sunlit {
  const { box, glazing, finWidth, pitch, plateSpan, endMetal } = layout;
  const width = (count - 1) * pitch + finWidth;
  const length = plateSpan.to - plateSpan.from + 2 * endMetal;
  return {
    opening: box.opening,
    plate: { length, width },
    coverage: Math.min(1, absorberArea / (length * width)),
    depth: layout.airGap,
    bars: glazing.bars,
  };
}

/**
 * A panel of tubes on a plate as heat sees it. Headers and bends lie in the sun, painted like the plate, and count as plate.
 *
 * @param query.besides m² of metal in the sun besides the plate's own strips
 * @param query.tubeLength m of tube of the plate's kind in all, and kg of other copper
 */
export function plateDescription(
  build: PlateBuild<unknown>,
  layout: PlateLayout,
  query: {
    paint: string;
    run: { length: number; count: number; path: 'parallel' | 'serpentine' };
    besides: number;
    tubeLength: number;
    otherCopper: number;
    waterVolume: number;
  },
): PlateDescription {
  const { box, glazing, tube, plateSpan } = layout;
  const { run } = query;
  const length = plateSpan.to - plateSpan.from;
  const onTubes = build.absorber.on(rowOf(build, { tube, count: run.count, pitch: layout.pitch, length }));
  const paint = entry('coating', query.paint);
  const absorberArea = layout.finWidth * run.count * length + query.besides;
  const sunlit = sunlitPlate(layout, run.count, absorberArea);
  const water = fluidState('water', 30);
  return {
    // A bare panel has no opening but its own plate, as far as the sides let it see the sun.
    apertureArea: glazing.cover ? openArea(sunlit) : litArea(sunlit, 0),
    absorberArea,
    sunlit,
    grossArea: box.outside.length * box.outside.width,
    covers: glazing.cover ? [{ ...glazing.cover, gap: layout.airGap }] : [],
    dirt,
    absorptance: paint.absorptance,
    emittance: paint.emittance,
    plate: onTubes.plate,
    sheet: { thickness: build.absorber.thickness, density: build.absorber.density },
    side: absorberArea / (2 * (box.outside.length + box.outside.width)),
    tube: {
      outerDiameter: tube.outerDiameter,
      innerDiameter: bore(tube),
      ...run,
      across: build.turned,
      wallConductance: materials.copper.conductivity * tube.wall,
    },
    bond: onTubes.bond,
    bondHomeMade: onTubes.bondHomeMade,
    back: box.backStack,
    backFactor: box.backFactor,
    rim: box.rim(hotSpace(layout)),
    rimFactor: rimSpread,
    capacity: {
      dry:
        onTubes.heatCapacity +
        (tubeMass(tube) * query.tubeLength + query.otherCopper) * materials.copper.heatCapacity +
        paneSwing * glazing.heatCapacity,
      water: query.waterVolume * water.density * water.heatCapacity,
      box: box.heatCapacity,
    },
    known: build.known,
  };
}
