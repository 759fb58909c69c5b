import type { Drawing } from '../../draw';
import { plateSection } from '../plate/section';
import type { PlateBuild } from '../plateFamily';
import { detail } from './detail';
import type { HarpLayout } from './layout';
import { fieldRange, type HarpParameters } from './parameters';
import { plan } from './plan';
import { teeDetail } from './teeDetail';

/** The views of a harp. */
export const harpDrawing = {
  plan,
  detail: (build: PlateBuild<HarpParameters>, layout: HarpLayout): Drawing =>
    layout.tee ? teeDetail(build.id, layout, layout.tee) : detail(build, layout),
  section: (build: PlateBuild<HarpParameters>, layout: HarpLayout): Drawing =>
    plateSection(build, layout, { airGap: fieldRange('airGap'), beyond: layout.tee ? 'header-piece' : 'header-hot' }),
};
