import { formatMoney, type Habit, sayWords } from '../quantity';
import { type BuyLine, buyByCounter, packsOf, type ShopPlan } from '../shop';
import { heading, inks, newSheet, type Print, write } from './frame';
import { buyAmount, buySize } from './listsCsv';
import { type Column, table } from './table';

function columnsOf(currency: string, habit: Habit): Column<BuyLine>[] {
  return [
    {
      title: 'what',
      share: 5,
      words: ({ name, rule }) => sayWords(`${name}${rule === 'stock' || rule === 'on hand' ? '' : `: ${rule}`}`, habit),
    },
    { title: 'size', share: 2.4, words: (line) => buySize(line, habit) },
    { title: 'how many', share: 1.6, align: 'end', words: (line) => buyAmount(line, habit) },
    { title: 'sold in', share: 2.4, words: (line) => packsOf(line, habit) ?? '' },
    {
      title: 'comes to',
      share: 1.6,
      align: 'end',
      words: ({ price, rule, have }) =>
        have
          ? 'have it'
          : rule === 'on hand'
            ? 'on hand'
            : price === undefined
              ? 'no price'
              : formatMoney(price, currency, 2),
    },
  ];
}

/** What to carry home, counter by counter, in packs as they are sold, with what each thing comes to. */
export function buyPages(print: Print, plan: ShopPlan, tools: readonly string[] = []): void {
  const { job, habit } = print.context;
  newSheet(print, 'Buy');
  for (const { counter, lines } of buyByCounter(plan.buy)) {
    heading(print, `${counter[0]?.toUpperCase()}${counter.slice(1)}`, 20);
    table(print, columnsOf(job.currency, habit), lines, true);
    const sum = lines.reduce((all, { price = 0 }) => all + price, 0);
    if (sum > 0) write(print, `${formatMoney(sum, job.currency, 2)} here`, { size: 3.2, colour: inks.soft });
  }
  write(
    print,
    sayWords(
      `In all ${formatMoney(plan.cost, job.currency, 2)}${plan.unpriced.length > 0 ? `, without: ${plan.unpriced.join(', ')}` : ''}.`,
      habit,
    ),
    {
      heading: true,
      size: 5,
    },
  );
  if (tools.length === 0) return;
  heading(print, 'Tools, and what protects you', 40);
  table(
    print,
    [
      { title: 'to have at hand', share: 5, words: ([one]) => one ?? '' },
      { title: '', share: 5, words: ([, other]) => other ?? '' },
    ],
    Array.from({ length: Math.ceil(tools.length / 2) }, (_, row) => tools.slice(2 * row, 2 * row + 2)),
  );
}
