import type { Drawing, Point } from '../draw';
import type { HeaterDesign, Port } from '../families';
import type { OpenJob } from '../job';
import { formatLength, type Habit, sayWords } from '../quantity';
import { bodyOf } from './body';
import { layDrawings } from './fill';
import { heading, inks, type Print, write } from './frame';
import { table } from './table';
import { heaterName } from './views';

/** mm. Of the circle round the number of a port. */
const balloon = 2.4;

/** The ports of every heater on its plan and in a table: side and place, what stands there, what goes onto it, how the pipe to it lies. */
export function plumbingPages(print: Print, open: OpenJob): void {
  const { habit } = print.context;
  for (const { document, design } of open.panels) {
    const name = heaterName(document);
    const plan = design.drawings.plan.draw();
    layDrawings(print, 'Plumbing', [
      {
        words: `${name}: its ports, from above`,
        drawing: withPorts(plan, design.ports),
        over: (place) => numberPorts(print, design.ports, place),
      },
    ]);
    heading(print, `Ports of ${name}`, 40);
    table(
      print,
      [
        { title: '', share: 0.6, words: ({ place }) => String(place) },
        { title: 'port', share: 3, words: ({ port }) => port.name },
        { title: 'where', share: 4, words: ({ port }) => portPlace(port, design, habit) },
        { title: 'what stands there', share: 4, words: ({ port }) => sayWords(port.end, habit) },
        { title: 'goes onto it', share: 3, words: ({ port }) => fittingName(port, design, habit) },
        { title: 'the pipe to it', share: 4, words: ({ port }) => sayWords(port.fall, habit) },
      ],
      design.ports.map((port, index) => ({ port, place: index + 1 })),
      true,
    );
    const { hydraulic } = design;
    if (hydraulic)
      write(
        print,
        sayWords(
          `It ${hydraulic.drains.empties ? 'runs empty' : 'does not run empty by itself'}: ${hydraulic.drains.how}.`,
          habit,
        ),
        { size: 3.4 },
      );
    write(
      print,
      'Relief, check and shut-off valves belong to the loop: a licensed plumber and your local code say where.',
      {
        size: 3.2,
        colour: inks.soft,
      },
    );
  }
}

/** The plan without the figures of its pieces: those of the ports stand in the table. Its sheet has room for ports that stand out. */
function withPorts(plan: Drawing, ports: readonly Port[]): Drawing {
  return {
    ...plan,
    dimensions: plan.dimensions.filter(({ id }) => /outside|side|length|width|across/.test(id)),
    labels: ports.map(({ at }) => ({ at, to: at, words: '', anchor: 'middle' as const })),
  };
}

function numberPorts(print: Print, ports: readonly Port[], place: (point: Point) => Point): void {
  const taken: Point[] = [];
  ports.forEach((port, index) => {
    let at = place(port.at);
    while (taken.some((one) => Math.hypot(one.x - at.x, one.y - at.y) < 2 * balloon))
      at = { x: at.x, y: at.y + 2 * balloon };
    taken.push(at);
    const colour = port.id.startsWith('hot') ? inks.brick : inks.ink;
    print.page.circle(at, balloon, { stroke: colour, fill: '#FFFFFF', width: 0.4 });
    print.page.text(String(index + 1), { x: at.x, y: at.y - 1 }, { size: 3.2, heading: true, align: 'middle', colour });
  });
}

/** Edge of the plan that a port is nearest to, how far along it, and its height: as one holds a tape to it. */
export function portPlace({ at, up }: Port, { drawings, parts }: HeaterDesign, habit: Habit): string {
  const say = (value: number) => formatLength(Math.abs(value), habit, { inchesOnly: value < 1 }).text;
  const { left, bottom, width, height } = bodyOf(drawings.plan.draw(), new Set(parts.map(({ id }) => id)));
  const edges = [
    { words: 'left edge', from: at.x - left, along: at.y - bottom, of: 'from below' },
    { words: 'right edge', from: left + width - at.x, along: at.y - bottom, of: 'from below' },
    { words: 'lower edge', from: at.y - bottom, along: at.x - left, of: 'from the left' },
    { words: 'upper edge', from: bottom + height - at.y, along: at.x - left, of: 'from the left' },
  ];
  const [nearest] = edges.toSorted((a, b) => a.from - b.from);
  if (!nearest) return '';
  const { words, from, along, of } = nearest;
  const off =
    Math.abs(from) < 0.002
      ? `at the ${words}`
      : from < 0
        ? `${say(from)} out from the ${words}`
        : `${say(from)} in from the ${words}`;
  return `${off}, ${say(along)} ${of}${up > 0.001 ? `, its middle ${say(up)} over the underside` : ', through the underside'}`;
}

function fittingName({ fitting }: Port, { purchases }: HeaterDesign, habit: Habit): string {
  const found = purchases.find(({ id }) => id === fitting);
  return found ? sayWords(found.name, habit) : 'nothing: it is open';
}
