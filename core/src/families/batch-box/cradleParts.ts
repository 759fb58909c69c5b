import { type EndCut, type Part, timberPiece } from '../../shop';
import { bearerAngle } from './cradle';
import type { BatchBoxLayout } from './layout';

/** m of steel strap at each end that is screwed down, and straps over a tank. */
const strapEnd = 0.1;
const strapsEach = 2;

/** A top that leans with the pane on a piece that stands. */
export function topBevel(layout: BatchBoxLayout): EndCut[] {
  return [{ kind: 'bevel', end: 'far', angle: layout.tilt, long: 'top edge' }];
}

/** What carries the tanks. */
export function cradleParts(prefix: string, layout: BatchBoxLayout): Part[] {
  const { stud, cradle, parameters } = layout;
  const { bearer, length, lying, leaning } = cradle;
  const post = (id: string, name: string, height: number, count: number, ends?: EndCut[]) =>
    timberPiece(prefix, stud, id, name, {
      length: height,
      count,
      ...(ends ? { ends, datum: { end: 'foot', side: 'left' } as const } : {}),
    });
  const across = (id: string, name: string, count: number) =>
    timberPiece(prefix, bearer.timber, id, name, { length, count });
  if (!leaning)
    return [
      across('bearer', 'Bearer under a tank, from wall to wall', 2 * lying.length),
      ...lying.map((one, index) => post(`post-${index + 1}`, `Post under tank ${index + 1}`, one.post, 4)),
    ];
  const { posts, stop, chock } = leaning;
  const upright = bearer.propped ? 3 : 2;
  return [
    across('bearer', 'Bearer under the tanks, from wall to wall', 2),
    across('foot-rail', 'Foot rail, that the tanks stand on', 1),
    post('post-foot', 'Post under the foot rail', posts.foot.length, upright, topBevel(layout)),
    post('post-front', 'Post under the low bearer', posts.front.length, upright, topBevel(layout)),
    post('post-back', 'Post under the high bearer', posts.back.length, upright, topBevel(layout)),
    post('foot-stop', 'Stop before the foot rail', stop.height, upright),
    timberPiece(prefix, stud, 'chock', 'Chock beside a tank', {
      length: Math.max(0.01, chock),
      count: 4 * parameters.tanks,
    }),
  ];
}

/** Straps over all tanks, and m of one with both its ends. */
export function tankStraps({ parameters }: BatchBoxLayout): { count: number; length: number } {
  const { tanks, tankDiameter, stand } = parameters;
  const radius = tankDiameter / 2;
  // A lying tank is wound but for what lies between its bearers; over one that leans it comes straight down on both sides.
  const round =
    stand === 'lying' ? radius * (2 * Math.PI - (2 * bearerAngle * Math.PI) / 180) : Math.PI * radius + 2 * radius;
  return { count: strapsEach * tanks, length: round + 2 * strapEnd };
}
