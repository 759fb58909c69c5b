import type { Exit } from '../../boxes';
import { type Finding, finding, type Words } from '../../care';
import { stackShortfall } from '../family';
import type { PlateBuild } from '../plateFamily';
import type { PlateLayout } from './layout';

/** m. Least wood or air between a corner screw and the rim of an exit hole. */
const screwRoom = 0.008;
/** m. How far a corner screw goes into the end board, and the cleat that it goes into instead. */
const screwBite = 0.025;
const withCleats = 0.02;
/** m. Radius of a corner screw. */
const screwRadius = 0.002;
/** m. Least between an exit hole and a corner cleat, so that the drill and the tube pass it; and a cleat that still takes a screw. */
const cleatRoom = 0.001;
/** m between neighbouring tubes for a torch, a clip or a screw to pass. Judgement. */
const tubeRoom = 0.008;
/** Rails that a box may have. */
const mostRails = 8;
/** m. Least from hot metal to the pane. */
const paneRoom = 0.008;
/** m. Least room at the ends and sides for tubes and plate to be laid in at all. */
export const layingRoom = 0.003;

/** Clashes of stack, pane and exits that any panel of tubes on a plate can have. */
export function plateFindings(build: PlateBuild<unknown>, layout: PlateLayout): Finding[] {
  const { box, glazing } = layout;
  const at = (name: string) => `${build.path}.${name}`;
  const found: Finding[] = [...glazing.findings(build.path, layout.airGap), ...box.findings(build.path, layout.exits)];
  if (glazing.cover && layout.metalToPane < paneRoom - 1e-9)
    found.push(
      finding.clash(
        'pane-too-close',
        at('parameters.airGap'),
        { room: layout.metalToPane, least: paneRoom },
        {
          at: { x: layout.plateSpan.to, y: box.outside.width / 2 },
          fix: Math.ceil((layout.airGap + paneRoom - layout.metalToPane) * 1000) / 1000,
        },
      ),
    );
  const short = stackShortfall(layout.stack);
  const deeper = short > 0 ? box.deeper(layout.stack.needed) : undefined;
  if (short > 0)
    found.push(
      finding.clash(
        'board-too-shallow',
        at('box.parameters.board'),
        { needed: layout.stack.needed, board: layout.stack.available, short },
        { at: { x: box.outside.length / 2, y: box.wall / 2 }, ...(deeper ? { fix: deeper } : {}) },
      ),
    );
  const { tube, pitch } = layout;
  if (pitch < tube.outerDiameter + tubeRoom - 1e-9)
    found.push(
      finding.clash(
        'tubes-touch',
        at('parameters.pitch'),
        { pitch, tube: tube.outerDiameter, least: tube.outerDiameter + tubeRoom },
        {
          at: { x: box.outside.length / 2, y: layout.runs[0] ?? 0 },
          fix: Math.ceil((tube.outerDiameter + tubeRoom) * 1000 - 1e-6) / 1000,
        },
      ),
    );
  return [...found, ...railFindings(build, layout), ...exitFindings(build, layout)];
}

/** Rails that carry the tubes must not stand where thicker metal lies: a header would lie on them, and no tube. */
function railFindings(build: PlateBuild<unknown>, layout: PlateLayout): Finding[] {
  const { box, thick } = layout;
  const meets = (rails: readonly number[]) =>
    rails.find((middle) =>
      thick.some(({ from, to }) => box.wall + middle + box.board / 2 > from && box.wall + middle - box.board / 2 < to),
    );
  const met = meets(box.rails);
  if (met === undefined) return [];
  const count = box.rails.length;
  const others = [count - 1, count + 1, count - 2, count + 2, count - 3].filter((one) => one >= 0 && one <= mostRails);
  const fix = others.find((one) => meets(box.railsOf(one)) === undefined);
  return [
    finding.clash(
      'rail-under-header',
      `${build.path}.box.parameters.rails`,
      { rails: count },
      { at: { x: box.wall + met, y: box.outside.width / 2 }, ...(fix === undefined ? {} : { fix }) },
    ),
  ];
}

/** Exit holes against corner screws and the edges of their boards: the worst of each. */
function exitFindings(build: PlateBuild<unknown>, layout: PlateLayout): Finding[] {
  const { box, exits, stack, airGap } = layout;
  const found: Finding[] = [];
  const onEnd = (exit: Exit) => exit.side === 'cold' || exit.side === 'hot';
  const where = (exit: Exit) =>
    exit.side === 'cold' || exit.side === 'hot'
      ? { x: exit.side === 'cold' ? box.wall / 2 : box.outside.length - box.wall / 2, y: exit.along }
      : { x: exit.along, y: exit.side === 'low' ? box.wall / 2 : box.outside.width - box.wall / 2 };
  const worst = (room: (exit: Exit) => number) =>
    exits.map((exit) => ({ exit, room: room(exit) })).sort((a, b) => a.room - b.room)[0];
  const screw = worst((exit) =>
    Math.min(
      ...box.cornerScrews
        .filter(({ on }) => on === (exit.side === 'cold' || exit.side === 'hot' ? 'end' : 'side'))
        .map((one) => {
          // To the nearest place of the slot, from where it is drilled to as far as it is drawn out.
          const ends = [exit.along, exit.along + (exit.slot ?? 0)] as const;
          const nearest = Math.min(Math.max(one.along, Math.min(...ends)), Math.max(...ends));
          return Math.hypot(one.along - nearest, one.up - exit.up) - exit.diameter / 2 - screwRadius;
        }),
    ),
  );
  if (screw && screw.room < screwRoom)
    found.push(
      finding.clash(
        'exit-hole-meets-screw',
        `${build.path}.parameters.riserClear`,
        { room: Math.max(0, screw.room), least: screwRoom },
        { at: where(screw.exit) },
      ),
    );
  // Where there is no cleat the screws go through the sides into the ends, along the end board.
  if (box.cleat === 0)
    for (const exit of exits.filter(onEnd)) {
      const nearSide = Math.min(exit.along, box.outside.width - exit.along) - exit.diameter / 2;
      const up = Math.min(
        ...box.cornerScrews.map((one) => Math.abs(one.up - exit.up) - exit.diameter / 2 - screwRadius),
      );
      if (nearSide > box.wall + screwBite || up > screwRoom - 1e-9) continue;
      found.push(
        finding.clash(
          'exit-hole-meets-screw',
          `${build.path}.box.parameters.cleat`,
          { room: Math.max(0, up), least: screwRoom },
          { at: where(exit), fix: withCleats },
        ),
      );
      break;
    }
  // The corner cleat stands behind the board from the back to the pane.
  const cleat = worst((exit) => {
    const ends = [exit.along, exit.along + (exit.slot ?? 0)];
    const whole = onEnd(exit) ? box.outside.width : box.outside.length;
    const behind = box.wall + (onEnd(exit) ? box.cleatThickness : box.cleat);
    return Math.min(...ends, ...ends.map((at) => whole - at)) - exit.diameter / 2 - behind;
  });
  if (cleat && box.cleat > 0 && cleat.room < cleatRoom - 1e-9) {
    const left = box.cleat + cleat.room - cleatRoom;
    found.push(
      finding.clash(
        'exit-hole-meets-cleat',
        `${build.path}.box.parameters.cleat`,
        { room: Math.max(0, cleat.room), least: cleatRoom, cleat: box.cleat },
        {
          at: where(cleat.exit),
          fix: onEnd(cleat.exit) || left < box.leastCleat ? 0 : Math.floor(left * 1000 + 1e-6) / 1000,
        },
      ),
    );
  }
  const above = worst((exit) => box.solid - exit.up - exit.diameter / 2);
  const below = worst((exit) => exit.up - exit.diameter / 2);
  const missing = screwRoom - (above?.room ?? screwRoom);
  // Where the stack has depth to spare the tubes may lie lower.
  if (above && missing > 1e-9 && stack.available - stack.needed >= missing)
    found.push(
      finding.clash(
        'exit-hole-too-high',
        `${build.path}.parameters.airGap`,
        { room: Math.max(0, above.room), least: screwRoom, gap: airGap + missing },
        { at: where(above.exit), fix: Math.ceil((airGap + missing) * 1000 - 1e-6) / 1000 },
      ),
    );
  else {
    const edge = [above, below].find((one) => one && one.room < screwRoom - 1e-9);
    if (edge)
      found.push(
        finding.clash(
          'exit-hole-breaks-edge',
          `${build.path}.box.parameters.board`,
          { room: Math.max(0, edge.room), least: screwRoom },
          { at: where(edge.exit) },
        ),
      );
  }
  return found;
}

export const plateWords: Record<string, Words> = {
  'pane-too-close': (values, say) => ({
    headline: 'metal too near the pane',
    detail: `The top of the metal is ${say.length(Math.max(0, values.number('room')))} from the pane. Hot metal needs ${say.length(values.number('least'))}.`,
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
  'tubes-touch': (values, say) => ({
    headline: 'tubes touch',
    detail: `Tubes of ${say.length(values.number('tube'))} on a pitch of ${say.length(values.number('pitch'))} leave no room between them; ${say.length(values.number('least'))} is the least pitch.`,
    remedy: 'Set them wider, or take a thinner tube.',
  }),
  'rail-under-header': (values) => ({
    headline: 'a rail stands under thick metal',
    detail: `With ${values.number('rails')} rails one lies where a header or a turn does: that would lie on it, and the tubes on nothing.`,
    remedy: 'Take one rail more or less.',
  }),
  'exit-hole-meets-cleat': (values, say) => ({
    headline: 'exit hole meets corner cleat',
    detail: `The cleat of ${say.length(values.number('cleat'))} stands behind the exit hole; the hole must pass it by ${say.length(values.number('least'))}.`,
    remedy: 'Take a smaller cleat, none, or move the tube away from the corner.',
  }),
  'exit-hole-too-high': (values, say) => ({
    headline: 'exit hole near the top edge',
    detail: `Only ${say.length(values.number('room'))} of board is left over the exit hole; ${say.length(values.number('least'))} is the least.`,
    remedy: `Lay the tubes lower: an air gap of ${say.length(values.number('gap'))}.`,
  }),
  'exit-hole-breaks-edge': (values, say) => ({
    headline: 'exit hole near the edge',
    detail: `Only ${say.length(values.number('room'))} of board is left beside the exit hole; ${say.length(values.number('least'))} is the least.`,
    remedy: 'Take a deeper board.',
  }),
};
