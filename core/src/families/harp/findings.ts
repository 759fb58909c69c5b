import { type Finding, finding, type Words } from '../../care';
import { bore, entries, type Tee, type Tube } from '../../catalogue';
import { layingRoom, plateFindings, plateWords } from '../plate/findings';
import { downToMillimetre } from '../plate/fit';
import { rowOf } from '../plate/layout';
import type { PlateBuild } from '../plateFamily';
import { type HarpLayout, leastEntry } from './layout';
import type { HarpParameters } from './parameters';

/** Everything that clashes in a harp as drawn, each where it is and with what mends it. */
export function harpFindings(build: PlateBuild<HarpParameters>, layout: HarpLayout): Finding[] {
  const { parameters, box, headerTube, tube: riserTube, entryLimits, endGap } = layout;
  const at = (name: string) => `${build.path}.${name}`;
  const found: Finding[] = [];
  const firstRiser = layout.runs[0] ?? 0;
  const lastRiser = layout.runs[layout.runs.length - 1] ?? 0;
  const crown = { x: layout.headers.cold + headerTube.outerDiameter / 2, y: lastRiser };
  const toMark = (value: number) => Math.round(value * 1e4) / 1e4;

  if (layout.tee) found.push(...teeFindings(build, layout, layout.tee));
  else if (entryLimits.least === Number.POSITIVE_INFINITY)
    found.push(
      finding.clash(
        'riser-too-wide',
        at('parameters.headerTube'),
        { riser: riserTube.outerDiameter, bore: headerTube.outerDiameter - 2 * headerTube.wall },
        { at: crown, ...headerThatFits(headerTube, riserTube) },
      ),
    );
  else if (parameters.entry < entryLimits.least - 1e-6)
    found.push(
      finding.clash(
        'riser-entry-short',
        at('parameters.entry'),
        { entry: parameters.entry, least: entryLimits.least },
        { at: crown, fix: toMark(Math.ceil(entryLimits.least * 1000) / 1000) },
      ),
    );
  else if (parameters.entry > entryLimits.most + 1e-6)
    found.push(
      finding.clash(
        'riser-entry-deep',
        at('parameters.entry'),
        { entry: parameters.entry, most: entryLimits.most },
        { at: crown, fix: toMark(Math.floor(entryLimits.most * 1000) / 1000) },
      ),
    );

  const most = layout.mostClear;
  if (endGap < layingRoom - 1e-9)
    found.push(
      finding.clash(
        'array-too-long',
        at('parameters.riserClear'),
        { riser: parameters.riserClear, inside: box.room.length, most },
        {
          at: { x: layout.headers.hot, y: box.outside.width / 2 },
          ...(most >= 0.2 ? { fix: downToMillimetre(most) } : {}),
        },
      ),
    );
  else if (box.cleat > 0 && endGap + box.edgeStrip < box.cleat + layingRoom + layout.slot - 1e-9)
    for (const [name, span] of Object.entries(layout.spans))
      found.push(
        finding.clash(
          'header-meets-cleat',
          at('parameters.riserClear'),
          { gap: endGap, cleat: box.cleat, most },
          {
            at: {
              x: layout.headers[name === 'cold' ? 'cold' : 'hot'],
              y: span.out < 0 ? box.wall : box.outside.width - box.wall,
            },
            fix: downToMillimetre(most),
          },
        ),
      );

  const plateWidth = (parameters.riserCount - 1) * parameters.pitch + layout.finWidth;
  if (plateWidth > box.room.width - 2 * layingRoom + 1e-9) {
    const fits =
      (box.room.width - 2 * layingRoom - Math.min(layout.finWidth, parameters.pitch)) / (parameters.riserCount - 1);
    const pitch = layout.finWidth < parameters.pitch ? fits : (box.room.width - 2 * layingRoom) / parameters.riserCount;
    found.push(
      finding.clash(
        'array-too-wide',
        at('parameters.pitch'),
        { plate: plateWidth, inside: box.room.width, count: parameters.riserCount, pitch },
        {
          at: { x: box.outside.length / 2, y: box.outside.width - box.wall },
          ...(pitch >= 0.03 ? { fix: Math.floor(pitch * 1000) / 1000 } : {}),
        },
      ),
    );
  } else {
    const room = firstRiser - box.wall;
    if (parameters.ends === 'inside' && parameters.closedEnd > room - layingRoom)
      found.push(
        finding.clash(
          'closed-end-meets-side',
          at('parameters.closedEnd'),
          { closed: parameters.closedEnd, room },
          {
            at: { x: layout.headers.cold, y: box.outside.width - box.wall },
            ...(room - layingRoom >= 0.01 ? { fix: Math.floor((room - layingRoom) * 1000) / 1000 } : {}),
          },
        ),
      );
  }

  return [
    ...found,
    ...plateFindings(build, layout),
    ...build.absorber.on(
      rowOf(build, {
        tube: riserTube,
        count: parameters.riserCount,
        pitch: parameters.pitch,
        length: parameters.riserClear,
      }),
    ).findings,
  ];
}

/** The narrowest header of the same shop that the riser goes into, as a fix. */
function headerThatFits(header: Tube, riser: Tube): { fix?: string } {
  const [found] = entries('tube')
    .filter(({ tape, temper }) => tape === header.tape && temper === header.temper)
    .filter((tube) => leastEntry(tube, riser) <= bore(tube) / 3)
    .sort((a, b) => bore(a) - bore(b));
  return found ? { fix: found.id } : {};
}

/** Tees that would not go together at the pitch, or leave no piece to the far end. */
function teeFindings(build: PlateBuild<HarpParameters>, layout: HarpLayout, tee: Tee): Finding[] {
  const { parameters, headers, runs, tube, headerTube } = layout;
  const at = (name: string) => `${build.path}.parameters.${name}`;
  const where = { x: headers.cold, y: runs[runs.length - 1] ?? 0 };
  const least = 2 * (tee.runLaying + tee.runSocket);
  const found: Finding[] = [];
  if (tube.outerDiameter > headerTube.outerDiameter)
    found.push(
      finding.clash(
        'riser-too-wide',
        at('headerTube'),
        { riser: tube.outerDiameter, bore: bore(headerTube) },
        { at: where },
      ),
    );
  if (parameters.pitch < least - 1e-9)
    found.push(
      finding.clash(
        'tees-meet',
        at('pitch'),
        { pitch: parameters.pitch, least },
        { at: where, fix: Math.ceil(least * 1000 - 1e-6) / 1000 },
      ),
    );
  const leastEnd = tee.runLaying + 2 * tee.runSocket;
  if (parameters.ends === 'inside' && parameters.closedEnd < leastEnd - 1e-9)
    found.push(
      finding.clash(
        'closed-end-too-short',
        at('closedEnd'),
        { closed: parameters.closedEnd, least: leastEnd },
        { at: where, fix: Math.ceil(leastEnd * 1000 - 1e-6) / 1000 },
      ),
    );
  return found;
}

export const harpWords: Record<string, Words> = {
  ...plateWords,
  'tees-meet': (values, say) => ({
    headline: 'tees meet',
    detail: `At a pitch of ${say.length(values.number('pitch'))} the tees' sockets run into each other; ${say.length(values.number('least'))} is the least.`,
    remedy: `Set the pitch to ${say.length(values.number('least'))} or more, or take a thinner header.`,
  }),
  'closed-end-too-short': (values, say) => ({
    headline: 'no room for the cap',
    detail: `The far end is ${say.length(values.number('closed'))} from the last riser; tee, piece and cap take ${say.length(values.number('least'))}.`,
    remedy: `Let it reach ${say.length(values.number('least'))}, or out through the side.`,
  }),
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
};
