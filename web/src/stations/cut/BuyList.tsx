import { Button, Flex, Text } from '@chakra-ui/react';
import { guideForUnpriced } from '@north-pane/core/cutting';
import { buyAmount, buySize, buyUnit } from '@north-pane/core/papers';
import { formatMoney, type Habit, sayWords } from '@north-pane/core/quantity';
import type { BuyLine, ShopPlan } from '@north-pane/core/shop';
import { useState } from 'react';
import { type ColumnDef, DataTable } from '../../parts/DataTable';
import { Entry } from '../../parts/Entry';
import { TickBox } from '../../parts/TickBox';
import { toggleHave } from '../../state/have';
import { jobNow, useJob } from '../../state/job';

type Row = BuyLine & { left?: boolean };

/** What to carry home, with prices that are the builder's own to set. */
export function BuyList({ plan, habit, currency }: { plan: ShopPlan; habit: Habit; currency: string }) {
  const change = useJob((state) => state.change);
  const changeAll = useJob((state) => state.changeAll);
  const spares = useJob((state) => (state.document ?? jobNow()).shop.spares);
  const guide = plan.unpriced.length > 0 ? guideForUnpriced(jobNow(), plan) : [];
  const price = (line: BuyLine) => (value: number) => {
    const outcome = change(['shop', ...(line.priceField ?? [])], value);
    return outcome.ok ? undefined : outcome.message;
  };
  // A price that makes the planner leave a length out leaves its row, so that it can be mended.
  const [priced, setPriced] = useState<readonly BuyLine[]>([]);
  const bought = new Set(plan.buy.map(fieldKey));
  const left = priced.filter((line) => !bought.has(fieldKey(line)));
  const rows: readonly Row[] =
    left.length === 0 ? plan.buy : [...plan.buy, ...left.map((line) => ({ ...line, left: true }))];
  const set = (line: Row) => (typed: number) => {
    const value = typed * buyUnit(line, habit).per;
    const message = price(line)(value);
    if (!message)
      setPriced((known) => [...known.filter((one) => fieldKey(one) !== fieldKey(line)), { ...line, each: value }]);
    return message;
  };
  const columns: ColumnDef<Row>[] = [
    {
      accessorKey: 'name',
      header: 'what',
      cell: ({ row: { original: line } }) => (
        <>
          {sayWords(line.name, habit)}
          <Text as="span" color="soft" display="block" fontSize="13px">
            {line.left ? 'not taken at this price' : amount(line, habit)}
            {line.rule === 'stock' || line.left ? '' : sayWords(`, ${line.rule}`, habit)}
          </Text>
        </>
      ),
    },
    {
      accessorKey: 'each',
      header: `price, ${currency}`,
      cell: ({ row: { original: line } }) =>
        line.priceField ? (
          <Entry
            label={`Price of ${sayWords(line.name, habit)}${line.size ? `, ${buySize(line, habit)}` : ''}`}
            bareLabel
            value={line.each === undefined ? undefined : line.each / buyUnit(line, habit).per}
            kind="number"
            digits={2}
            habit={habit}
            width="86px"
            onValue={set(line)}
          />
        ) : (
          ''
        ),
    },
    {
      accessorKey: 'price',
      header: 'in all',
      meta: { end: true },
      cell: ({ row: { original: line } }) =>
        line.left ? (
          ''
        ) : line.have ? (
          'have it'
        ) : line.price === undefined ? (
          <Text color="ochreText">no price</Text>
        ) : (
          formatMoney(line.price, currency, 2)
        ),
    },
    {
      id: 'have',
      header: 'have it',
      cell: ({ row: { original: line } }) =>
        line.priceField?.[0] === 'prices' && !line.left ? (
          <TickBox
            ticked={line.have ?? false}
            label={`Have it: ${sayWords(line.name, habit)}`}
            onTick={() => toggleHave(line.id)}
          />
        ) : (
          ''
        ),
    },
  ];
  return (
    <>
      <DataTable
        label="Buy"
        rows={rows}
        columns={columns}
        idOf={({ id }) => id}
        {...(rows.length > 12 ? { filter: 'Find on the list' } : {})}
        tone={(line) => (line.left ? 'soft' : undefined)}
      />
      <Flex justify="space-between" mt="2" fontFamily="heading" fontWeight="600" fontSize="18px">
        <Text>So far</Text>
        <Text>{formatMoney(plan.cost, currency, 2)}</Text>
      </Flex>
      <Flex align="center" gap="2" my="2">
        <Text>Spare on what is measured out</Text>
        <Entry
          label="Spare on what is measured out, %"
          bareLabel
          value={Math.round(spares.consumables * 1000) / 10}
          kind="number"
          habit={habit}
          width="70px"
          onValue={(value) => {
            const outcome = change('shop.spares.consumables', value / 100);
            return outcome.ok ? undefined : 'From 0 to 100 %.';
          }}
        />
        <Text>%</Text>
      </Flex>
      <Text fontSize="13px" color="soft">
        Guide prices in round figures, until you set your own.
        {plan.unpriced.length > 0 ? sayWords(` Without: ${plan.unpriced.join(', ')}.`, habit) : ''}
      </Text>
      {guide.length > 0 && (
        <Button size="xs" variant="outline" mt="1" onClick={() => changeAll(guide)}>
          Take guide prices for these
        </Button>
      )}
    </>
  );
}

function amount(line: BuyLine, habit: Habit): string {
  const much = buyAmount(line, habit);
  if (line.size) return `${much} of ${buySize(line, habit)}`;
  return line.unit === 'each' ? `${much} of them` : much;
}

/** Where the price of a line stands, as one word. */
function fieldKey({ priceField }: BuyLine): string | undefined {
  return priceField?.join('/');
}
