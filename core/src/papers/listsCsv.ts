import { formatLength, formatNumber, type Habit, inch, sayWords } from '../quantity';
import {
  type BuyLine,
  faceOf,
  type HoleSchedule,
  type Part,
  type Recess,
  rowDistances,
  type ShopPlan,
  type Span,
  sectionOf,
  workWords,
  writeCsv,
} from '../shop';

/** Between the rows of holes, or the rebates, of one piece in one cell. */
const between = ' | ';

/** Numbers of a list in one unit, which its heading names: millimetres to a tenth, or inches to a thousandth. */
function listUnit(habit: Habit): { unit: string; number(metres: number): number } {
  return habit === 'metric'
    ? { unit: 'mm', number: (metres) => Math.round(metres * 1e4) / 10 }
    : { unit: 'in', number: (metres) => Math.round((metres / inch) * 1e3) / 1e3 };
}

/**
 * The cut list as CSV: a row a part, every size as a number in one unit and as it is shown; holes as running dimensions from their datum,
 * rows of holes and rebates parted by ` | `.
 */
export function cutListCsv(parts: readonly Part[], habit: Habit): string {
  const { unit, number } = listUnit(habit);
  const shown = (value: number) => formatLength(value, habit, { inchesOnly: value < 1 }).text;
  const rows = (part: Part, say: (row: HoleSchedule) => string | number) => (part.holes ?? []).map(say).join(between);
  const header = [
    'part',
    'name',
    'material',
    'count',
    `length ${unit}`,
    `width ${unit}`,
    `thickness ${unit}`,
    'shown',
    `holes ${unit}`,
    'holes from',
    `hole ${unit}`,
    `slot ${unit}`,
    `hole from edge ${unit}`,
    'edge',
    `rebates and notches ${unit}`,
    'ends',
    `bends ${unit}`,
    'work',
  ];
  const sizes = (part: Part): (string | number)[] => {
    const section = sectionOf(part);
    return part.kind === 'length'
      ? [
          number(part.length),
          section ? number(section.width) : '',
          section ? number(section.thickness) : '',
          shown(part.length),
        ]
      : [number(part.height), number(part.width), '', `${shown(part.height)} × ${shown(part.width)}`];
  };
  return writeCsv([
    header,
    ...parts.map((part) => [
      part.id,
      part.name,
      part.item,
      part.count,
      ...sizes(part),
      rows(part, ({ positions }) => positions.map(number).join(' ')),
      rows(part, ({ datum }) => datum),
      rows(part, ({ diameter }) => number(diameter)),
      rows(part, ({ slot }) => (slot === undefined ? '' : number(slot))),
      rows(part, (row) => rowDistances(row, faceOf(part)).map(number).join(' ')),
      rows(part, ({ across }) => across?.from ?? 'middle'),
      (part.recesses ?? []).map((one) => recessCell(one, number)).join(between),
      (part.ends ?? []).map(({ kind, end, angle, long }) => `${kind} ${end} ${angle}° ${long} long`).join(between),
      part.bends ? part.bends.positions.map(number).join(' ') : '',
      sayWords(workWords(part).join('; '), habit),
    ]),
  ]);
}

function recessCell({ kind, where, along, up, into }: Recess, number: (metres: number) => number): string {
  const span = ({ from, to }: Span) => `${number(from)} to ${number(to)}`;
  return `${kind} ${where}: along ${span(along)}, up ${span(up)}, in ${span(into)}`;
}

/** The size of a length or sheet on a buy list, in words; nothing for what has none. */
export function buySize({ size }: BuyLine, habit: Habit): string {
  if (!size) return '';
  const say = (value: number) => formatLength(value, habit).text;
  return 'length' in size ? say(size.length) : `${say(size.height)} × ${say(size.width)}`;
}

/** What an amount is counted in, and how many of it make one of the line's own unit. */
export interface AmountUnit {
  symbol: string;
  per: number;
}

const foot = 12 * inch;
/** Each unit of a buy list in American shops: quarts and pounds, as small amounts are sold. */
const american: Record<Exclude<BuyLine['unit'], 'each'>, AmountUnit> = {
  m: { symbol: 'ft', per: 1 / foot },
  'm²': { symbol: 'ft²', per: 1 / foot ** 2 },
  kg: { symbol: 'lb', per: 1 / 0.45359237 },
  L: { symbol: 'qt', per: 1 / 0.946352946 },
};

/** The unit of a line in the builder's habit; things that are counted have none. */
export function buyUnit({ unit }: Pick<BuyLine, 'unit'>, habit: Habit): AmountUnit {
  if (unit === 'each') return { symbol: '', per: 1 };
  return habit === 'imperial' ? american[unit] : { symbol: unit, per: 1 };
}

/** How much of a line there is to buy, in the builder's habit. */
export function buyAmount(line: Pick<BuyLine, 'unit' | 'quantity'>, habit: Habit): string {
  const { symbol, per } = buyUnit(line, habit);
  const quantity = line.quantity * per;
  if (symbol === '') return formatNumber(Math.ceil(quantity - 1e-9));
  return `${formatNumber(quantity, quantity < 10 ? 2 : 1)}\u00a0${symbol}`;
}

/** The buy list as CSV. */
export function buyListCsv(plan: ShopPlan, currency: string, habit: Habit, tools: readonly string[] = []): string {
  return writeCsv([
    ['what', 'size', 'how many', 'unit', `price ${currency}`, 'rule', 'have it'],
    ...plan.buy.map((line) => {
      const { symbol, per } = buyUnit(line, habit);
      return [
        sayWords(line.name, habit),
        buySize(line, habit),
        Math.round(line.quantity * per * 1000) / 1000,
        symbol || 'each',
        line.price === undefined ? 'no price' : Math.round(line.price * 100) / 100,
        sayWords(line.rule, habit),
        line.have ? 'yes' : '',
      ];
    }),
    ...tools.map((tool) => [tool, '', 1, 'tool', '', '', '']),
    [
      'in all',
      '',
      '',
      '',
      Math.round(plan.cost * 100) / 100,
      plan.unpriced.length > 0 ? sayWords(`without: ${plan.unpriced.join(', ')}`, habit) : '',
      '',
    ],
  ]);
}
