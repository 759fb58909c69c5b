import { formatLength, type Habit, sayWords } from '../quantity';
import { type BuyLine, type CutDecisions, type Part, type Purchase, planShop, type ShopPlan, writeCsv } from '../shop';
import { jobParts } from './jobParts';
import type { OpenJob } from './open';
import type { Job } from './schema';

/** Everything to make and buy, and how it comes out of stock. */
export interface JobShop {
  parts: Part[];
  purchases: Purchase[];
  plan: ShopPlan;
}

/** Parts and what they are cut from, for the whole job, by the fast planners; of a list of one's own when it is given. */
export function jobShop(open: OpenJob, list: Pick<JobShop, 'parts' | 'purchases'> = jobParts(open)): JobShop {
  const { parts, purchases } = list;
  return { parts, purchases, plan: planShop(parts, purchases, open.job.shop, cutDecisions(open.job)) };
}

/** What the builder has settled about cutting. */
export function cutDecisions({ decisions: { overrules = [], locks = [], ties = {} } }: Job): CutDecisions {
  return { overrules, locks, ties };
}

/** The cut list as CSV: a row a part, sizes in the unit of the habit, holes as running dimensions. */
export function cutListCsv(parts: readonly Part[], habit: Habit): string {
  const size = (value: number) =>
    habit === 'metric' ? Math.round(value * 10000) / 10 : formatLength(value, habit, { inchesOnly: true }).text;
  const unit = habit === 'metric' ? 'mm' : 'in';
  const header = [
    'part',
    'name',
    'material',
    'count',
    `length ${unit}`,
    `width ${unit}`,
    `holes ${unit}`,
    'holes from',
    'work',
  ];
  return writeCsv([
    header,
    ...parts.map((part) => [
      part.id,
      part.name,
      part.item,
      part.count,
      size(part.kind === 'length' ? part.length : part.height),
      part.kind === 'length' ? '' : size(part.width),
      part.holes ? part.holes.positions.map(size).join(' ') : '',
      part.holes?.datum ?? '',
      sayWords(part.operations.join('; '), habit),
    ]),
  ]);
}

/** The size of a length or sheet on a buy list, in words; nothing for what has none. */
export function buySize({ size }: BuyLine, habit: Habit): string {
  if (!size) return '';
  const say = (value: number) => formatLength(value, habit).text;
  return 'length' in size ? say(size.length) : `${say(size.height)} × ${say(size.width)}`;
}

/** The buy list as CSV. */
export function buyListCsv(plan: ShopPlan, currency: string, habit: Habit): string {
  return writeCsv([
    ['what', 'size', 'how many', 'unit', `price ${currency}`, 'rule'],
    ...plan.buy.map((line) => [
      line.name,
      buySize(line, habit),
      Math.round(line.quantity * 1000) / 1000,
      line.unit,
      line.price === undefined ? 'no price' : Math.round(line.price * 100) / 100,
      line.rule,
    ]),
    [
      'in all',
      '',
      '',
      '',
      Math.round(plan.cost * 100) / 100,
      plan.unpriced.length > 0 ? `without: ${plan.unpriced.join(', ')}` : '',
    ],
  ]);
}
