import { Box, Button, Dialog, Text } from '@chakra-ui/react';
import { formatMoney, formatQuantity, type Habit } from '@north-pane/core/quantity';
import { format } from 'date-fns';
import { useMemo } from 'react';
import { useBuilds, useTakeBackBuild } from '../state/built';
import { derive } from '../state/derived';
import { useHabit } from '../state/habit';
import { useDocument } from '../state/job';
import { type Revision, useRevisions, useTakeOutRevision } from '../state/kept';
import { fieldsMoved } from '../state/moved';
import { type ColumnDef, DataTable } from './DataTable';
import { Frame } from './Frame';
import { TwoStep } from './TwoStep';

/** What a revision came to. */
function figuresOf(document: Revision['document'], habit: Habit) {
  const { figures } = derive(document);
  return {
    gain: figures.gain === undefined ? 'none' : formatQuantity('temperatureDifference', figures.gain, habit).text,
    heat: figures.usefulHeat === undefined ? 'none' : formatQuantity('power', figures.usefulHeat, habit, 0).text,
    cost: figures.cost === undefined ? 'none' : formatMoney(figures.cost, document.currency, 0),
  };
}

/** Every revision that was kept and every build, looked at and taken back. */
export function Revisions({ onClose }: { onClose(): void }) {
  const habit = useHabit();
  const document = useDocument();
  const revisions = useRevisions();
  const builds = useBuilds();
  const takeOut = useTakeOutRevision();
  const takeBack = useTakeBackBuild();
  const stood = builds.data ?? [];
  const rows = useMemo(
    () =>
      (revisions.data ?? []).map((one) => ({
        ...one,
        moved: fieldsMoved(one.document, document),
        ...figuresOf(one.document, habit),
      })),
    [revisions.data, document, habit],
  );
  const builtNumbers = new Set(stood.map(({ number }) => number));
  const columns: ColumnDef<(typeof rows)[number]>[] = [
    { accessorKey: 'number', header: 'revision' },
    {
      accessorFn: ({ keptAt }) => keptAt.getTime(),
      id: 'kept',
      header: 'kept',
      cell: ({ row }) => format(row.original.keptAt, 'd MMM yyyy, HH:mm'),
    },
    { accessorKey: 'note', header: 'note', meta: { wide: true } },
    { accessorKey: 'gain', header: 'gain', enableSorting: false, meta: { end: true } },
    { accessorKey: 'heat', header: 'heat', enableSorting: false, meta: { end: true, wide: true } },
    { accessorKey: 'cost', header: 'so far', enableSorting: false, meta: { end: true } },
    {
      accessorKey: 'moved',
      header: 'from now',
      cell: ({ row }) => (row.original.moved === 0 ? 'the same' : `${row.original.moved} other`),
      meta: { wide: true },
    },
    {
      id: 'out',
      header: '',
      meta: { end: true },
      cell: ({ row: { original } }) =>
        builtNumbers.has(original.number) ? (
          <Text as="span" color="soft">
            built
          </Text>
        ) : (
          <TwoStep
            words="Take out"
            of={`revision ${original.number}`}
            ask="It cannot be fetched back."
            disabled={takeOut.isPending}
            onDo={() => takeOut.mutate(original.number)}
          />
        ),
    },
  ];
  const trouble = revisions.error ?? builds.error ?? takeOut.error ?? takeBack.error;
  return (
    <Frame title="What was kept" wide onClose={onClose}>
      <Dialog.Body>
        {trouble && (
          <Text role="alert" color="brickText" mb="2">
            {trouble.message}
          </Text>
        )}
        {rows.length === 0 ? (
          <Text color="soft">No revision yet. Keep one before a bolder change: figures are then told against it.</Text>
        ) : (
          <DataTable label="Revisions" rows={rows} columns={columns} idOf={({ number }) => String(number)} />
        )}
        {stood.length > 0 && (
          <Box as="section" aria-label="Built" mt="5">
            <Text as="h3" fontSize="17px" mb="1">
              Built
            </Text>
            {stood.map((one) => (
              <Box
                key={one.id}
                display="flex"
                flexWrap="wrap"
                justifyContent="space-between"
                alignItems="center"
                gap="2"
                py="1"
                borderTopWidth="1px"
                borderColor="line"
              >
                <Text>
                  Revision {one.number} stands since {format(new Date(one.installedFrom), 'd MMM yyyy')}
                </Text>
                <TwoStep
                  words="Take back"
                  of={`revision ${one.number} as built`}
                  ask="Its readings are then held against what stood before, or the drawing."
                  disabled={takeBack.isPending}
                  onDo={() => takeBack.mutate(one.id)}
                />
              </Box>
            ))}
          </Box>
        )}
      </Dialog.Body>
      <Dialog.Footer>
        <Button variant="outline" onClick={onClose}>
          Back
        </Button>
      </Dialog.Footer>
    </Frame>
  );
}
