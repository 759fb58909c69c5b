// The library changes what it gives in place: the compiler may not keep it.
'use no memo';

import { Button, Dialog, Text } from '@chakra-ui/react';
import { zodResolver } from '@hookform/resolvers/zod';
import { issueWords } from '@north-pane/core/care';
import type { Habit, QuantityKind } from '@north-pane/core/quantity';
import { type MonthlyClimate, monthlySchema, monthNames } from '@north-pane/core/sky';
import { Controller, type FieldPath, useForm } from 'react-hook-form';
import { type ColumnDef, DataTable } from '../../parts/DataTable';
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
  const { control, handleSubmit, getValues, setError, formState } = useForm<MonthlyClimate>({
    defaultValues: props.months,
    resolver: zodResolver(monthlySchema),
  });
  const rows = monthNames.map((month, index) => ({ month, index }));
  const table: ColumnDef<(typeof rows)[number]>[] = [
    { accessorKey: 'month', header: 'month', enableSorting: false },
    ...columns.map(
      ({ name, words, kind, scale }): ColumnDef<(typeof rows)[number]> => ({
        id: name,
        header: words,
        cell: ({ row: { original: row } }) => (
          <Controller
            control={control}
            name={`${name}.${row.index}` as FieldPath<MonthlyClimate>}
            render={({ field }) => (
              <Entry
                label={`${words}, ${row.month}`}
                bareLabel
                value={Number(field.value) * scale}
                kind={kind}
                habit={habit}
                onValue={(value) => {
                  const next = getValues()[name].map((old, index) => (index === row.index ? value / scale : old));
                  const parsed = monthlySchema.safeParse({ ...getValues(), [name]: next }, { error: issueWords });
                  if (!parsed.success) return `This must be ${parsed.error.issues[0]?.message ?? 'something else'}.`;
                  field.onChange(value / scale);
                  return undefined;
                }}
              />
            )}
          />
        ),
      }),
    ),
  ];
  const take = (months: MonthlyClimate) => {
    const message = onMonths(months);
    if (message) setError('root', { message });
    else onClose();
  };
  return (
    <Frame title="Twelve monthly means of your own" wide onClose={onClose} onSubmit={handleSubmit(take)}>
      <Dialog.Body>
        <Text mb="3" color="soft">
          From an almanac, a weather service or a neighbour’s records. North Pane makes up days and hours that keep
          them.
        </Text>
        <DataTable label="Means by month" rows={rows} columns={table} idOf={({ month }) => month} />
        {formState.errors.root && (
          <Text role="alert" color="brickText" mt="2">
            {formState.errors.root.message}
          </Text>
        )}
      </Dialog.Body>
      <Dialog.Footer flexWrap="wrap">
        <Button variant="outline" type="button" onClick={onClose}>
          Cancel
        </Button>
        <Button variant="solid" type="submit">
          Use these
        </Button>
      </Dialog.Footer>
    </Frame>
  );
}
