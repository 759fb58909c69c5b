import { Button, Dialog, Flex, Text } from '@chakra-ui/react';
import type { Job } from '@north-pane/core/document';
import { type UncertainRow, uncertainRows } from '@north-pane/core/figures';
import type { OpenJob } from '@north-pane/core/job';
import { formatNumber, type Habit } from '@north-pane/core/quantity';
import { type ColumnDef, DataTable } from '../../parts/DataTable';
import { Entry } from '../../parts/Entry';
import { Frame } from '../../parts/Frame';
import { useJob } from '../../state/job';

type Known = NonNullable<Job['heaters'][string]['known']>;
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
  const keep = (next: Known) =>
    change(`${open.panels[index]?.path}.known`, Object.keys(next).length > 0 ? next : undefined);
  const set = (row: UncertainRow, end: (typeof ends)[number]) => (value: number) => {
    const { low, likely, high, spread }: UncertainRow = { ...row, [end]: value };
    if (!(value > 0)) return 'Above 0.';
    if (!(low <= likely && likely <= high)) return 'Low, likely and high must rise.';
    const kind = row.own ? (known[row.input]?.kind ?? 'judgement') : 'judgement';
    const outcome = keep({ ...known, [row.input]: { low, likely, high, spread, kind } });
    return outcome.ok ? undefined : outcome.message;
  };
  const forget = (row: UncertainRow) => {
    keep(Object.fromEntries(Object.entries(known).filter(([input]) => input !== row.input)));
  };
  const rows = uncertainRows(open, index);
  const columns: ColumnDef<UncertainRow>[] = [
    {
      id: 'input',
      accessorFn: ({ name }) => name,
      header: 'input',
      cell: ({ row }) => {
        const { name, unit } = row.original;
        return (
          <>
            {name}
            <Text fontSize="13px" color="soft">
              {unit}
            </Text>
          </>
        );
      },
    },
    ...ends.map(
      (end): ColumnDef<UncertainRow> => ({
        accessorKey: end,
        header: end,
        enableSorting: false,
        cell: ({ row: { original: row } }) => {
          const { name, digits } = row;
          return (
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
          );
        },
      }),
    ),
    {
      id: 'home-made',
      header: 'home-made',
      enableSorting: false,
      cell: ({ row: { original: row } }) => {
        const home = typical.find(({ input }) => input === row.input);
        return home ? ends.map((end) => formatNumber(home[end], row.digits)).join(', ') : '';
      },
    },
    {
      id: 'from',
      accessorFn: ({ own, kind }) => (own ? 'yours' : kind),
      header: 'from',
      cell: ({ row: { original: row } }) =>
        row.own ? (
          <Button size="xs" variant="outline" aria-label={`Yours: undo ${row.name}`} onClick={() => forget(row)}>
            Yours: undo
          </Button>
        ) : (
          row.kind
        ),
    },
  ];
  return (
    <Frame title="What could still be wrong" wide onClose={onClose}>
      <Dialog.Body>
        <Text mb="3">
          Nine in ten panels lie between low and high. Likely goes into every figure; the spread into its band. Set one
          where you know better, from a data sheet or a test by hand.
        </Text>
        <DataTable label="What could still be wrong" rows={rows} columns={columns} idOf={({ input }) => input} />
      </Dialog.Body>
      <Dialog.Footer>
        <Flex gap="3">
          <Button onClick={onClose}>Done</Button>
        </Flex>
      </Dialog.Footer>
    </Frame>
  );
}
