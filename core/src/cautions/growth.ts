import type { Finding, Words } from '../care';
import type { GrowingThing } from '../families';
import type { OpenJob } from '../job';
import type { ServiceMargin } from './serviceMargins';

/** °C in the shed on the day of building. */
const builtAt = 10;

/** What has not the room to grow when the panel stands dry in full sun, at the upper edge of its band. */
export function growthFindings(open: OpenJob, margins: readonly ServiceMargin[]): Finding[] {
  return open.panels.flatMap(({ design }, panel) =>
    design.growth.flatMap((thing): Finding[] => {
      const sees = margins.find((one) => one.panel === panel && one.place === thing.place)?.high;
      if (sees === undefined) return [];
      const growth = thing.expansion * thing.length * Math.max(0, sees - builtAt);
      const missing = growth - thing.room;
      if (missing <= 0.0002) return [];
      const values = { name: thing.name, growth, room: Math.max(0, thing.room), sees };
      // To the half millimetre, away from the clash.
      const fix = Math.ceil(((thing.room + missing) / 2) * 2000) / 2000;
      return [
        {
          code: 'needs-room',
          severity: 'clash',
          path: thing.path,
          values,
          ...mendOf(thing, fix),
        },
      ];
    }),
  );
}

/** The room, and what must go with it; nothing where what holds the thing would no longer reach it. */
function mendOf({ perSide, besides }: GrowingThing, fix: number): Pick<Finding, 'fix' | 'also'> {
  if (!perSide) return {};
  const also = besides ? besides(fix) : [];
  if (!also) return {};
  return also.length > 0 ? { fix, also } : { fix };
}

export const growthWords: Record<string, Words> = {
  'needs-room': (values, say) => ({
    headline: `${values.text('name')} has no room to grow`,
    detail: `Dry in full sun, at ${say.quantity('temperature', values.number('sees'), 0)}, it grows ${say.length(values.number('growth'))}; it has ${say.length(values.number('room'))} in all.`,
    remedy: 'Give it more room all round, hold it at one fixed point and let the rest slide.',
  }),
};
