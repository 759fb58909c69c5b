import { entry, type Sheet, type Timber } from '../../catalogue';
import { type GlazingDesign, glazings } from '../../glazings';
import type { TrickleParameters } from './parameters';

/** m. Wall of a drink can's side: makers, 0.097 to 0.11. */
export const canWall = 0.0001;
/** m. Tray left open below for the gutter and above for the feeds. */
const ends = 0.06;
/** Share of the face that a film covers, by how the face was made. Judgement: pour and look. */
export const wetted = { plain: 0.45, dimpled: 0.8 } as const;

/** Where everything is; x runs up the slope from the gutter, y across. */
export interface TrickleLayout {
  parameters: TrickleParameters;
  /** m. A can slit and laid flat: its circumference. */
  flat: number;
  /** m. A strip, from its foot to its head. */
  stripLength: number;
  stripWidth: number;
  /** y of the middle of each strip. */
  strips: number[];
  outside: { length: number; width: number };
  batten: Timber;
  /** m. Sides: a batten ripped in two. */
  wall: number;
  back: Sheet;
  glazing: GlazingDesign;
  share: number;
  /** z. */
  depth: number;
}

export function layOut(parameters: TrickleParameters): TrickleLayout {
  const { diameter, height, lap, cans, gapBetween } = parameters;
  const flat = Math.PI * diameter;
  const stripLength = cans * (height - lap) + lap;
  const batten = entry('timber', parameters.batten);
  const width = parameters.strips * flat + (parameters.strips + 1) * gapBetween;
  const wall = batten.thickness / 2;
  const outside = { length: stripLength + 2 * ends, width: width + 2 * wall };
  const edge = wall + gapBetween;
  const back = entry('sheet', parameters.back);
  const glazing = glazings[parameters.cover].open({
    ...glazings[parameters.cover].standard('metric'),
    length: heldPane(outside.length),
    width: heldPane(outside.width),
    ...(parameters.cover === 'film' ? { bars: Math.min(5, Math.max(1, Math.ceil(outside.length / 0.5) - 1)) } : {}),
  });
  return {
    parameters,
    flat,
    stripLength,
    stripWidth: flat,
    strips: Array.from({ length: parameters.strips }, (_, index) => edge + flat / 2 + index * (flat + gapBetween)),
    outside,
    batten,
    wall,
    back,
    glazing,
    share: wetted[parameters.wetting],
    depth:
      back.thickness + (parameters.insulation === 'wool' ? 0.03 : 0.02) + parameters.airGap + glazing.pane.thickness,
  };
}

/** m. Longest pane that is sold; a longer panel clashes, and is worked out with this one. */
export const longestPane = 3.2;
function heldPane(side: number): number {
  return Math.min(longestPane, Math.max(0.3, side));
}

/** x of a strip's foot. */
export const stripFoot = ends;
