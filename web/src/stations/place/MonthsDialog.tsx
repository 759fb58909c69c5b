import { Button, Dialog, Table, Text } from '@chakra-ui/react';
import { type Habit, type MonthlyClimate, monthlySchema, monthNames, type QuantityKind } from '@north-pane/core';
import { useState } from 'react';
import { Entry } from '../../parts/Entry';
import { Frame } from '../../parts/Frame';

const secondsInDay = 86_400;

/** What a column shows, and how much of it is one SI value of the months. */
const columns: readonly { name: keyof MonthlyClimate; words: string; kind: QuantityKind; scale: number }[] = [
  { name: 'global', words: 'sun on the flat, a day', kind: 'insolation', scale: secondsInDay },
  { name: 'air', words: 'air', kind: 'temperature', scale: 1 },
  { name: 'dewPoint', words: 'dew point', kind: 'temperature', scale: 1 },
  { name: 'wind', words: 'wind at 10 m', kind: 'speed', scale: 1 },
];

/** Twelve monthly means of one's own, begun from those that stand. */
export function MonthsDialog(props: {
  months: MonthlyClimate;
  habit: Habit;
  onMonths(months: MonthlyClimate): string | undefined;
  onClose(): void;
}) {
  const { habit, onMonths, onClose } = props;
  const [months, setMonths] = useState(props.months);
  const [trouble, setTrouble] = useState<string | undefined>(undefined);
  const set = (name: keyof MonthlyClimate, month: number, value: number): string | undefined => {
    const next = { ...months, [name]: months[name].map((old, index) => (index === month ? value : old)) };
    const parsed = monthlySchema.safeParse(next);
    if (!parsed.success) return `This must be ${parsed.error.issues[0]?.message ?? 'something else'}.`;
    setMonths(parsed.data);
    return undefined;
  };
  return (
    <Frame title="Twelve monthly means of your own" wide onClose={onClose}>
      <Dialog.Body>
        <Text mb="3" color="soft">
          From an almanac, a weather service or a neighbour’s records. North Pane makes up days and hours that keep
          them.
        </Text>
        <Table.Root size="sm">
          <Table.Header>
            <Table.Row bg="transparent">
              <Table.ColumnHeader ps="0">month</Table.ColumnHeader>
              {columns.map(({ name, words }) => (
                <Table.ColumnHeader key={name}>{words}</Table.ColumnHeader>
              ))}
            </Table.Row>
          </Table.Header>
          <Table.Body>
            {monthNames.map((month, index) => (
              <Table.Row key={month} bg="transparent" borderColor="line">
                <Table.Cell ps="0" py="1" borderColor="line">
                  {month}
                </Table.Cell>
                {columns.map(({ name, words, kind, scale }) => (
                  <Table.Cell key={name} py="1" borderColor="line">
                    <Entry
                      label={`${words}, ${month}`}
                      bareLabel
                      value={(months[name][index] ?? 0) * scale}
                      kind={kind}
                      habit={habit}
                      onValue={(value) => set(name, index, value / scale)}
                    />
                  </Table.Cell>
                ))}
              </Table.Row>
            ))}
          </Table.Body>
        </Table.Root>
        {trouble && (
          <Text role="alert" color="brickText" mt="2">
            {trouble}
          </Text>
        )}
      </Dialog.Body>
      <Dialog.Footer>
        <Button variant="outline" onClick={onClose}>
          Cancel
        </Button>
        <Button
          variant="solid"
          onClick={() => {
            const message = onMonths(months);
            if (message) setTrouble(message);
            else onClose();
          }}
        >
          Use these
        </Button>
      </Dialog.Footer>
    </Frame>
  );
}
