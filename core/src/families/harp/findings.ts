import type { Finding, Words } from '../../care';
import type { PlateBuild } from '../plateFamily';
import { type HarpLayout, rowOf } from './layout';
import type { HarpParameters } from './parameters';

/** m. Least wood or air between a corner screw and the rim of an exit hole. */
const screwRoom = 0.008;
/** m. Radius of a corner screw. */
const screwRadius = 0.002;
/** m. Least from hot metal to the pane. */
const paneRoom = 0.008;
/** m. Least room at the ends and sides for tubes and plate to grow: 1.9 m of copper over 150 K grows 5 mm. */
const growth = 0.003;

/** Everything that clashes in a harp as drawn, each where it is and with what mends it. */
export function harpFindings(build: PlateBuild<HarpParameters>, layout: HarpLayout): Finding[] {
  const { parameters, box, headerTube, riserTube, entryLimits, endGap } = layout;
  const at = (name: string) => `${build.path}.${name}`;
  const found: Finding[] = [];
  const firstRiser = layout.risers[0] ?? 0;
  const lastRiser = layout.risers[layout.risers.length - 1] ?? 0;
  const crown = { x: layout.headers.cold + headerTube.outerDiameter / 2, y: lastRiser };
  const toMark = (value: number) => Math.round(value * 1e4) / 1e4;

  if (entryLimits.least === Number.POSITIVE_INFINITY)
    found.push({
      code: 'riser-too-wide',
      severity: 'clash',
      path: at('parameters.headerTube'),
      values: { riser: riserTube.outerDiameter, bore: headerTube.outerDiameter - 2 * headerTube.wall },
      at: crown,
    });
  else if (parameters.entry < entryLimits.least - 1e-6)
    found.push({
      code: 'riser-entry-short',
      severity: 'clash',
      path: at('parameters.entry'),
      values: { entry: parameters.entry, least: entryLimits.least },
      at: crown,
      fix: toMark(Math.ceil(entryLimits.least * 1000) / 1000),
    });
  else if (parameters.entry > entryLimits.most + 1e-6)
    found.push({
      code: 'riser-entry-deep',
      severity: 'clash',
      path: at('parameters.entry'),
      values: { entry: parameters.entry, most: entryLimits.most },
      at: crown,
      fix: toMark(Math.floor(entryLimits.most * 1000) / 1000),
    });

  const most = box.inside.length - 2 * headerTube.outerDiameter - 2 * (box.cleat + growth);
  if (endGap < growth)
    found.push({
      code: 'array-too-long',
      severity: 'clash',
      path: at('parameters.riserClear'),
      values: { riser: parameters.riserClear, inside: box.inside.length, most },
      at: { x: layout.headers.hot, y: box.outside.width / 2 },
      ...(most >= 0.2 ? { fix: Math.floor(most * 1000) / 1000 } : {}),
    });
  else if (box.cleat > 0 && endGap < box.cleat + growth)
    for (const [name, span] of Object.entries(layout.spans))
      found.push({
        code: 'header-meets-cleat',
        severity: 'clash',
        path: at('parameters.riserClear'),
        values: { gap: endGap, cleat: box.cleat, most },
        at: {
          x: layout.headers[name === 'cold' ? 'cold' : 'hot'],
          y: span.out < 0 ? box.wall : box.outside.width - box.wall,
        },
        fix: Math.floor(most * 1000) / 1000,
      });

  const plateWidth = (parameters.riserCount - 1) * parameters.pitch + layout.finWidth;
  if (plateWidth > box.inside.width - 2 * growth + 1e-9) {
    const fits =
      (box.inside.width - 2 * growth - Math.min(layout.finWidth, parameters.pitch)) / (parameters.riserCount - 1);
    const pitch = layout.finWidth < parameters.pitch ? fits : (box.inside.width - 2 * growth) / parameters.riserCount;
    found.push({
      code: 'array-too-wide',
      severity: 'clash',
      path: at('parameters.pitch'),
      values: { plate: plateWidth, inside: box.inside.width, count: parameters.riserCount, pitch },
      at: { x: box.outside.length / 2, y: box.outside.width - box.wall },
      ...(pitch >= 0.03 ? { fix: Math.floor(pitch * 1000) / 1000 } : {}),
    });
  } else {
    const room = firstRiser - box.wall;
    if (parameters.closedEnd > room - growth)
      found.push({
        code: 'closed-end-meets-side',
        severity: 'clash',
        path: at('parameters.closedEnd'),
        values: { closed: parameters.closedEnd, room },
        at: { x: layout.headers.cold, y: box.outside.width - box.wall },
        ...(room - growth >= 0.01 ? { fix: Math.floor((room - growth) * 1000) / 1000 } : {}),
      });
  }

  if (layout.headerToPane < paneRoom - 1e-9)
    found.push({
      code: 'pane-too-close',
      severity: 'clash',
      path: at('parameters.airGap'),
      values: { room: layout.headerToPane, least: paneRoom },
      at: { x: layout.headers.hot, y: box.outside.width / 2 },
      fix: Math.ceil((parameters.airGap + paneRoom - layout.headerToPane) * 1000) / 1000,
    });
  const short = layout.stack.needed - layout.stack.available;
  if (short > 0.0005)
    found.push({
      code: 'board-too-shallow',
      severity: 'clash',
      path: at('box.parameters.board'),
      values: { needed: layout.stack.needed, board: layout.stack.available, short },
      at: { x: box.outside.length / 2, y: box.wall / 2 },
    });

  for (const exit of layout.exits) {
    const near = Math.min(
      ...box.cornerScrews.map(
        (screw) => Math.hypot(screw.along - exit.along, screw.up - exit.up) - exit.diameter / 2 - screwRadius,
      ),
    );
    const where = { x: exit.along, y: exit.side === 'low' ? box.wall / 2 : box.outside.width - box.wall / 2 };
    if (near < screwRoom)
      found.push({
        code: 'exit-hole-meets-screw',
        severity: 'clash',
        path: at('parameters.riserClear'),
        values: { room: Math.max(0, near), least: screwRoom },
        at: where,
      });
    const rim = Math.min(exit.up, box.depth - layout.glazing.seatDepth - exit.up) - exit.diameter / 2;
    if (rim < screwRoom)
      found.push({
        code: 'exit-hole-breaks-edge',
        severity: 'clash',
        path: at('box.parameters.board'),
        values: { room: Math.max(0, rim), least: screwRoom },
        at: where,
      });
  }
  return [...found, ...build.absorber.on(rowOf(build, riserTube)).findings];
}

export const harpWords: Record<string, Words> = {
  'riser-too-wide': (values, say) => ({
    headline: 'riser wider than header',
    detail: `The riser is ${say.length(values.number('riser'))} and the header's bore ${say.length(values.number('bore'))}: it cannot enter.`,
    remedy: 'Take a wider header or a thinner riser.',
  }),
  'riser-entry-short': (values, say) => ({
    headline: 'riser too short to seal',
    detail: `The riser goes in ${say.length(values.number('entry'))}; its rim is through the wall all round only at ${say.length(values.number('least'))}.`,
    remedy: `Let it enter ${say.length(values.number('least'))} or more, measured from the crown.`,
  }),
  'riser-entry-deep': (values, say) => ({
    headline: 'riser chokes the header',
    detail: `The riser goes in ${say.length(values.number('entry'))}, more than a third of the header's bore (${say.length(values.number('most'))}).`,
    remedy: `Let it enter ${say.length(values.number('most'))} at most.`,
  }),
  'array-too-long': (values, say) => ({
    headline: 'riser longer than the box',
    detail: `With both headers the array does not go into the ${say.length(values.number('inside'))} between the end boards.`,
    remedy: `Shorten the risers to ${say.length(Math.max(0, values.number('most')))} clear, or take a longer pane.`,
  }),
  'header-meets-cleat': (values, say) => ({
    headline: 'header meets corner cleat',
    detail: `The header stands ${say.length(Math.max(0, values.number('gap')))} from the end board and the cleat takes ${say.length(values.number('cleat'))}.`,
    remedy: `Shorten the risers to ${say.length(values.number('most'))} clear, or take a smaller cleat.`,
  }),
  'array-too-wide': (values, say) => ({
    headline: 'plate wider than the box',
    detail: `${values.number('count')} risers with their plate take ${say.length(values.number('plate'))}; the box is ${say.length(values.number('inside'))} inside.`,
    remedy: `Set the pitch to ${say.length(Math.max(0, values.number('pitch')))}, take fewer risers or a wider pane.`,
  }),
  'closed-end-meets-side': (values, say) => ({
    headline: 'header end meets the side',
    detail: `The closed end reaches ${say.length(values.number('closed'))} past the last riser; the side board is ${say.length(Math.max(0, values.number('room')))} away.`,
    remedy: 'Shorten the closed end, or draw the risers together.',
  }),
  'pane-too-close': (values, say) => ({
    headline: 'header too near the pane',
    detail: `The header's top is ${say.length(Math.max(0, values.number('room')))} from the pane. Hot metal needs ${say.length(values.number('least'))}.`,
    remedy: 'Widen the air gap, with a deeper board if the stack asks for it.',
  }),
  'board-too-shallow': (values, say) => ({
    headline: `board ${say.length(values.number('short'))} too shallow`,
    detail: `The stack needs ${say.length(values.number('needed'))} and the board has ${say.length(values.number('board'))}.`,
    remedy: 'Take a deeper board, thinner insulation or a smaller air gap.',
  }),
  'exit-hole-meets-screw': (values, say) => ({
    headline: 'exit hole meets corner screw',
    detail: `Only ${say.length(values.number('room'))} between the exit hole and a corner screw; ${say.length(values.number('least'))} is the least.`,
    remedy: 'Move the header in by shortening the risers, or move the screw by another cleat.',
  }),
  'exit-hole-breaks-edge': (values, say) => ({
    headline: 'exit hole near the edge',
    detail: `Only ${say.length(values.number('room'))} of board is left beside the exit hole; ${say.length(values.number('least'))} is the least.`,
    remedy: 'Take a deeper board.',
  }),
};
