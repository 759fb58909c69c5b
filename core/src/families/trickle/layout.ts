import { entry, type Sheet, type Timber } from '../../catalogue';
import { type GlazingDesign, glazings } from '../../glazings';
import { evenlyAlong } from '../../shop';
import type { TrickleParameters } from './parameters';

/** m. Wall of a drink can's side: makers, 0.097 to 0.11. */
export const canWall = 0.0001;
/** m. Gutter across, under the feet of the strips, which reach over it by so much. */
export const gutter = { width: 0.042, over: 0.012 } as const;
/** m. Tray left open above the strips' heads for the feeds. */
const feedRoom = 0.04;
/** m. Battens stand over the strips by so much, and the sides of a bare tray. */
const upstand = 0.006;
const freeboard = 0.015;
/** m. Bearers that carry the strips where no wool does, and no further apart than so much. */
const bearer = { height: 0.02, spacing: 0.4 } as const;
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
  sideBoard: Timber;
  /** m. Thickness of the sides, and how high they stand on the back. */
  wall: number;
  rise: number;
  back: Sheet;
  /** Wool under the strips; nothing where bearers carry them. */
  wool: Sheet | undefined;
  /** m from the back to the strips. */
  under: number;
  /** m. Height of a batten, and x from where to where battens and wool lie. */
  battenHeight: number;
  support: { from: number; to: number };
  /** x of the middle of each bearer; none on wool. */
  bearers: number[];
  bearerHeight: number;
  /** x of a strip's foot. */
  foot: number;
  /** m from the underside of the tray to the strips. */
  face: number;
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
  const sideBoard = entry('timber', parameters.sideBoard);
  const wall = sideBoard.thickness;
  const foot = wall + gutter.width - gutter.over;
  const outside = { length: foot + stripLength + feedRoom + wall, width: width + 2 * wall };
  const wool =
    parameters.insulation === 'wool' ? entry('sheet', batten.tape === 'metric' ? 'wool-30' : 'wool-1-1_4') : undefined;
  const under = wool?.thickness ?? bearer.height;
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
    sideBoard,
    rise: under + (glazing.cover ? parameters.airGap : freeboard),
    wool,
    under,
    battenHeight: (wool ? under : 0) + upstand,
    support: { from: wall + gutter.width, to: outside.length - wall },
    bearers: wool
      ? []
      : evenlyAlong(outside.length - 2 * wall - gutter.width, bearer.spacing, bearer.height).map(
          (at) => wall + gutter.width + at,
        ),
    bearerHeight: bearer.height,
    foot,
    face: back.thickness + under,
    strips: Array.from({ length: parameters.strips }, (_, index) => edge + flat / 2 + index * (flat + gapBetween)),
    outside,
    batten,
    wall,
    back,
    glazing,
    share: wetted[parameters.wetting],
    depth: back.thickness + under + (glazing.cover ? parameters.airGap : freeboard) + glazing.pane.thickness,
  };
}

/** m. Longest pane that is sold; a longer panel clashes, and is worked out with this one. */
export const longestPane = 3.2;
export const shortestPane = 0.3;
function heldPane(side: number): number {
  return Math.min(longestPane, Math.max(shortestPane, side));
}
