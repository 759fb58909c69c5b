import { screwFrom, screwUpTo } from '../catalogue';
import type { GlazingDesign } from '../glazings';
import { sized } from '../quantity';
import { bought, type Purchase, screws } from '../shop';
import type { Frame, TimberBox } from './frame';

/** m between screws along the rim of the back, and along the stops of a pane. */
const screwSpacing = 0.15;
const stopSpacing = 0.2;
/** m that a screw goes into what it holds, at least, and stays short of its far face. */
const bite = 0.02;
const shortOf = 0.002;
/** L of a bead of 6 mm in a corner, each metre, and L of glue in a corner joint. */
const beadVolume = 0.018;
const glueVolume = 0.02;

export function boxPurchases(made: TimberBox, frame: Frame, glazing: GlazingDesign, prefix: string): Purchase[] {
  const { outside, rimTop } = frame;
  const { board, back, rails, edge, cladding, cleat, lid } = made;
  const { tape } = board;
  const round = 2 * (outside.length + outside.width);
  const perRim = Math.ceil(round / screwSpacing);
  const paneRound = glazing.cover ? 2 * (glazing.pane.length + glazing.pane.width) : 0;
  const corners = 2 * frame.cornerScrews.length;
  const each = (id: string, name: string, quantity: number, priceKey: string, rule: string, mass: number) =>
    bought(prefix, id, name, [quantity, 'each'], { priceKey, rule, mass });
  const metres = (id: string, name: string, quantity: number, priceKey: string, rule: string, mass: number) =>
    bought(prefix, id, name, [quantity, 'm'], { priceKey, rule, mass });
  return [
    ...screws(prefix, {
      id: 'corner-screws',
      quantity: corners,
      // Not out of the far side of a cleat, where a header may lie.
      length:
        cleat > 0
          ? screwUpTo(board.thickness + Math.min(cleat, board.thickness) - shortOf, tape)
          : screwFrom(board.thickness + bite, tape),
      tape,
      rule:
        cleat > 0
          ? 'through every board into its cleats, two a corner'
          : 'through the sides into the ends, two a corner',
    }),
    ...screws(prefix, {
      id: 'rail-screws',
      quantity: 4 * rails,
      length: screwFrom(back.thickness + bite, tape),
      tape,
      rule: 'through the back, four a rail',
    }),
    ...screws(prefix, {
      id: 'back-screws',
      quantity: perRim,
      length: screwFrom(back.thickness + bite, tape),
      tape,
      rule: `through the back into the boards, every ${sized(screwSpacing)}`,
    }),
    ...(cladding
      ? screws(prefix, {
          id: 'cladding-screws',
          quantity: perRim,
          length: screwUpTo(cladding.thickness + board.thickness - shortOf, tape),
          tape,
          rule: `outer boards to inner ones, every ${sized(screwSpacing)}`,
        })
      : []),
    ...(edge
      ? screws(prefix, {
          id: 'edge-screws',
          quantity: perRim,
          length: screwUpTo(bite, tape),
          tape,
          rule: `through the metal into the back, washers under the heads, every ${sized(screwSpacing)}`,
        })
      : []),
    bought(prefix, 'glue', 'Waterproof wood glue', [4 * glueVolume, 'L'], {
      priceKey: 'glue',
      rule: 'the four corners',
      mass: 0.05,
    }),
    bought(prefix, 'box-paint', 'Exterior paint', [(round * rimTop * (edge ? 1 : 2) * 2) / 10, 'L'], {
      priceKey: 'paint',
      rule: `two coats inside${edge ? '' : ' and out'}`,
      mass: 0.2,
    }),
    ...(paneRound > 0 && !edge
      ? [
          bought(prefix, 'glazing-sealant', 'Glazing sealant', [beadVolume * paneRound, 'L'], {
            priceKey: 'silicone',
            rule: `a bead of ${sized(0.006)} over the edge of the pane`,
            mass: beadVolume * paneRound,
          }),
          metres('stop', 'Glazing stop', paneRound, 'stop', 'once round the pane', 0.08 * paneRound),
          ...screws(prefix, {
            id: 'stop-screws',
            quantity: Math.ceil(paneRound / stopSpacing),
            length: screwFrom(0.03, tape),
            tape,
            rule: `along the stops, every ${sized(stopSpacing)}`,
          }),
        ]
      : []),
    ...(lid
      ? [
          metres('lid-gasket', 'Gasket between lid and box', round, 'gasket', 'once round the rim', 0.05 * round),
          each('hinge', 'Stainless hinges for the lid, with screws', 2, 'hinge', 'two along the high edge', 0.2),
          each(
            'lid-clip',
            'Toggle clips for the lid, with screws',
            4,
            'lid-clip',
            'two along the low edge, one a side',
            0.2,
          ),
        ]
      : []),
    ...(made.handles > 0
      ? [
          each('handle', 'Handles, stainless', made.handles, 'handle', 'as drawn, bolted through', 0.12 * made.handles),
          each(
            'handle-bolts',
            'Stainless bolts with washers, for the handles',
            2 * made.handles,
            'bolt',
            'two a handle',
            0.02 * made.handles,
          ),
        ]
      : []),
    ...(made.hanging === 'plates'
      ? [each('hanger', 'Hanging plates, with screws', 4, 'hanger', 'a fifth in from the ends of the back', 0.6)]
      : []),
    ...(made.weeps > 0
      ? [
          each('weep-screen', 'Insect screens', 2 * made.weeps, 'weep-screen', 'one a weep hole', 0.002),
          each('screen-staples', 'Staples for the screens', 8 * made.weeps, 'small-staple', 'four a screen', 0.001),
        ]
      : []),
  ];
}
