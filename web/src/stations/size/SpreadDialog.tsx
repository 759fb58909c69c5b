import { Button, Dialog, Flex, Table, Text } from '@chakra-ui/react';
import {
  formatNumber,
  type Habit,
  type Job,
  type OpenJob,
  type UncertainRow,
  uncertainRows,
  uncertainWords,
} from '@north-pane/core';
import { Entry } from '../../parts/Entry';
import { Frame } from '../../parts/Frame';
import { useJob } from '../../state/job';

type Known = NonNullable<Job['panels'][number]['known']>;
const ends = ['low', 'likely', 'high'] as const;

/** Every uncertain input of a panel with its spread and where it comes from; each can be set by whoever knows better. */
export function SpreadDialog({
  open,
  index,
  habit,
  onClose,
}: {
  open: OpenJob;
  index: number;
  habit: Habit;
  onClose(): void;
}) {
  const change = useJob((state) => state.change);
  const known: Known = open.panels[index]?.document.known ?? {};
  const typical = uncertainRows(open, index, 'home-made');
  const keep = (next: Known) => change(`panels.${index}.known`, Object.keys(next).length > 0 ? next : undefined);
  const set = (row: UncertainRow, end: (typeof ends)[number]) => (value: number) => {
    const { low, likely, high, spread }: UncertainRow = { ...row, [end]: value };
    if (!(value > 0)) return 'Above 0.';
    if (!(low <= likely && likely <= high)) return 'Low, likely and high must rise.';
    const kind = row.own ? (known[row.input]?.kind ?? 'judgement') : 'judgement';
    const outcome = keep({ ...known, [row.input]: { low, likely, high, spread, kind } });
    return outcome.ok ? undefined : outcome.message;
  };
  const forget = (row: UncertainRow) => {
    const { [row.input]: _, ...rest } = known;
    keep(rest);
  };
  return (
    <Frame title="What is not known for sure" wide onClose={onClose}>
      <Dialog.Body>
        <Text mb="3">
          Nine in ten panels lie between low and high. Likely goes into every figure; the spread into its band. Set one
          where you know better, from a data sheet or a test by hand.
        </Text>
        <Table.Root size="sm">
          <Table.Header>
            <Table.Row bg="transparent">
              <Table.ColumnHeader color="ink">input</Table.ColumnHeader>
              {ends.map((end) => (
                <Table.ColumnHeader key={end} color="ink">
                  {end}
                </Table.ColumnHeader>
              ))}
              <Table.ColumnHeader color="ink">home-made</Table.ColumnHeader>
              <Table.ColumnHeader color="ink">from</Table.ColumnHeader>
            </Table.Row>
          </Table.Header>
          <Table.Body>
            {uncertainRows(open, index).map((row, place) => {
              const { name, unit, digits } = uncertainWords[row.input];
              const home = typical[place];
              return (
                <Table.Row key={row.input} bg="transparent">
                  <Table.Cell>
                    {name}
                    <Text fontSize="13px" color="soft">
                      {unit}
                    </Text>
                  </Table.Cell>
                  {ends.map((end) => (
                    <Table.Cell key={end} px="1">
                      <Entry
                        label={`${name}, ${end}`}
                        bareLabel
                        value={row[end]}
                        kind="number"
                        digits={digits}
                        habit={habit}
                        width="78px"
                        onValue={set(row, end)}
                      />
                    </Table.Cell>
                  ))}
                  <Table.Cell whiteSpace="nowrap">
                    {home ? ends.map((end) => formatNumber(home[end], digits)).join(', ') : ''}
                  </Table.Cell>
                  <Table.Cell>
                    {row.own ? (
                      <Button size="xs" variant="outline" onClick={() => forget(row)}>
                        Yours: undo
                      </Button>
                    ) : (
                      row.kind
                    )}
                  </Table.Cell>
                </Table.Row>
              );
            })}
          </Table.Body>
        </Table.Root>
      </Dialog.Body>
      <Dialog.Footer>
        <Flex gap="3">
          <Button onClick={onClose}>Done</Button>
        </Flex>
      </Dialog.Footer>
    </Frame>
  );
}
