import { Button, Flex, Table, Text } from '@chakra-ui/react';
import {
  type BuyLine,
  buySize,
  formatMoney,
  formatNumber,
  guideForUnpriced,
  type Habit,
  type ShopPlan,
} from '@north-pane/core';
import { Entry } from '../../parts/Entry';
import { useDocument, useJob } from '../../state/job';

/** What to carry home, with prices that are the builder's own to set. */
export function BuyList({ plan, habit, currency }: { plan: ShopPlan; habit: Habit; currency: string }) {
  const change = useJob((state) => state.change);
  const changeAll = useJob((state) => state.changeAll);
  const job = useDocument();
  const { shop } = job;
  const guide = plan.unpriced.length > 0 ? guideForUnpriced(job, plan) : [];
  const price = (line: BuyLine) => (value: number) => {
    const outcome = change(`shop.${line.priceField}`, value);
    return outcome.ok ? undefined : outcome.message;
  };
  return (
    <>
      <Table.Root size="sm" aria-label="Buy">
        <Table.Header>
          <Table.Row bg="transparent">
            <Table.ColumnHeader px="0">what</Table.ColumnHeader>
            <Table.ColumnHeader>each, {currency}</Table.ColumnHeader>
            <Table.ColumnHeader textAlign="right" px="0">
              in all
            </Table.ColumnHeader>
          </Table.Row>
        </Table.Header>
        <Table.Body>
          {plan.buy.map((line) => (
            <Table.Row key={line.id} bg="transparent">
              <Table.Cell px="0" title={line.rule}>
                {line.name}
                <Text as="span" color="soft" display="block" fontSize="13px">
                  {amount(line, habit)}
                  {line.rule === 'stock' ? '' : `, ${line.rule}`}
                </Text>
              </Table.Cell>
              <Table.Cell>
                {line.priceField ? (
                  <Entry
                    label={`Price of ${line.name}`}
                    bareLabel
                    value={line.each}
                    kind="number"
                    digits={2}
                    habit={habit}
                    width="76px"
                    onValue={price(line)}
                  />
                ) : (
                  ''
                )}
              </Table.Cell>
              <Table.Cell textAlign="right" px="0" whiteSpace="nowrap">
                {line.price === undefined ? (
                  <Text color="ochreText">no price</Text>
                ) : (
                  formatMoney(line.price, currency, 2)
                )}
              </Table.Cell>
            </Table.Row>
          ))}
        </Table.Body>
      </Table.Root>
      <Flex justify="space-between" mt="2" fontFamily="heading" fontWeight="600" fontSize="18px">
        <Text>So far</Text>
        <Text>{formatMoney(plan.cost, currency, 2)}</Text>
      </Flex>
      <Flex align="center" gap="2" my="2">
        <Text>Spare on what is measured out</Text>
        <Entry
          label="Spare on what is measured out, %"
          bareLabel
          value={Math.round(shop.spares.consumables * 1000) / 10}
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
        {plan.unpriced.length > 0 ? ` Without: ${plan.unpriced.join(', ')}.` : ''}
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
  const { quantity, unit, size } = line;
  if (size) return `${formatNumber(quantity)} of ${buySize(line, habit)}`;
  return unit === 'each'
    ? `${formatNumber(quantity)} of them`
    : `${formatNumber(quantity, quantity < 10 ? 2 : 1)} ${unit}`;
}
