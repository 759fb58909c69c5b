import { Box, Button, Dialog, Text } from '@chakra-ui/react';
import { changesBetween, describeChange, type Job } from '@north-pane/core/document';
import { formatMoney, formatQuantity, type Habit } from '@north-pane/core/quantity';
import { format } from 'date-fns';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { useBuilds, useTakeBackBuild } from '../state/built';
import { derive } from '../state/derived';
import { useHabit } from '../state/habit';
import { useDocument, useJob } from '../state/job';
import { useCopyJob, useRevisionDocuments, useRevisions, useTakeOutRevision } from '../state/kept';
import { fieldsMoved } from '../state/moved';
import { type ColumnDef, DataTable } from './DataTable';
import { Frame } from './Frame';
import { TextButton } from './TextButton';
import { TwoStep } from './TwoStep';

/** Revisions of which the figures are shown; older ones are listed. */
const mostRead = 30;

/** What a revision came to. */
function figuresOf(document: Job, habit: Habit) {
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
  const numbers = (revisions.data ?? []).slice(0, mostRead).map(({ number }) => number);
  const documents = useRevisionDocuments(numbers);
  const [looked, setLooked] = useState<number | undefined>(undefined);
  const takeOut = useTakeOutRevision();
  const takeBack = useTakeBackBuild();
  const stood = builds.data ?? [];
  const rows = (revisions.data ?? []).map((one) => {
    const kept = documents.get(one.number);
    return {
      ...one,
      document: kept,
      moved: kept && fieldsMoved(kept, document),
      ...(kept ? figuresOf(kept, habit) : { gain: '', heat: '', cost: '' }),
    };
  });
  const builtNumbers = new Set(stood.map(({ number }) => number));
  const columns: ColumnDef<(typeof rows)[number]>[] = [
    { accessorKey: 'number', header: 'version' },
    {
      accessorFn: ({ keptAt }) => keptAt.getTime(),
      id: 'kept',
      header: 'saved on',
      cell: ({ row }) => format(row.original.keptAt, 'd MMM yyyy, HH:mm'),
    },
    { accessorKey: 'note', header: 'note', meta: { wide: true } },
    { accessorKey: 'gain', header: 'temperature rise', enableSorting: false, meta: { end: true } },
    { accessorKey: 'heat', header: 'heat', enableSorting: false, meta: { end: true, wide: true } },
    { accessorKey: 'cost', header: 'cost so far', enableSorting: false, meta: { end: true } },
    {
      accessorKey: 'moved',
      header: 'from now',
      cell: ({ row: { original } }) =>
        original.document && original.moved !== 0 ? (
          <TextButton onClick={() => setLooked(looked === original.number ? undefined : original.number)}>
            {original.moved} other
          </TextButton>
        ) : original.document ? (
          'the same'
        ) : (
          ''
        ),
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
            of={`version ${original.number}`}
            ask="It cannot be fetched back."
            disabled={takeOut.isPending}
            onDo={() => takeOut.mutate(original.number)}
          />
        ),
    },
  ];
  const shown = rows.find(({ number }) => number === looked);
  const trouble = revisions.error ?? builds.error ?? takeOut.error ?? takeBack.error;
  return (
    <Frame title="Versions" wide onClose={onClose}>
      <Dialog.Body>
        {trouble && (
          <Text role="alert" color="brickText" mb="2">
            {trouble.message}
          </Text>
        )}
        {rows.length === 0 ? (
          <Text color="soft">
            No version saved yet. Save one before a bolder change: figures are then compared with it.
          </Text>
        ) : (
          <DataTable label="Versions" rows={rows} columns={columns} idOf={({ number }) => String(number)} />
        )}
        {shown?.document && (
          <Compared key={shown.number} number={shown.number} kept={shown.document} onClose={onClose} />
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
                  Version {one.number} stands since {format(new Date(one.installedFrom), 'd MMM yyyy')}
                </Text>
                <TwoStep
                  words="Take back"
                  of={`version ${one.number} as built`}
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

/** Fields that are told one by one. */
const mostTold = 40;

/** A revision against the job as it is now, field by field, and the ways on from it: back to it, or a job of its own. */
function Compared({ number, kept, onClose }: { number: number; kept: Job; onClose(): void }) {
  const habit = useHabit();
  const document = useDocument();
  const id = useJob((state) => state.id) ?? '';
  const changeAll = useJob((state) => state.changeAll);
  const navigate = useNavigate();
  const copy = useCopyJob();
  const [refused, setRefused] = useState<string | undefined>(undefined);
  const changes = changesBetween(kept, document);
  const goBack = () => {
    const outcome = changeAll(changes.map(({ path, before }) => ({ path, value: before })));
    if (outcome.ok) onClose();
    else setRefused(outcome.message);
  };
  const branch = () =>
    copy.mutate(
      { id, revision: number, name: `${kept.name}, from version ${number}` },
      {
        onSuccess: (made) => {
          onClose();
          void navigate(`/jobs/${made.id}/size`);
        },
      },
    );
  return (
    <Box as="section" aria-label={`Version ${number} and now`} mt="4">
      <Text as="h3" fontSize="17px" mb="1">
        Version {number} and now
      </Text>
      <Box as="ul" pl="5" listStyleType="disc" maxH="200px" overflowY="auto">
        {changes.slice(0, mostTold).map((change) => {
          const { name, before, after } = describeChange(document, change, habit);
          return (
            <li key={JSON.stringify(change.path)}>
              {name}: {before} then, {after} now
            </li>
          );
        })}
        {changes.length > mostTold && <li>{changes.length - mostTold} more</li>}
      </Box>
      {(refused ?? copy.error) && (
        <Text role="alert" color="brickText">
          {refused ?? copy.error?.message}
        </Text>
      )}
      <Box display="flex" gap="2" mt="2" flexWrap="wrap">
        <Button size="sm" variant="outline" onClick={goBack}>
          Go back to version {number}
        </Button>
        <Button size="sm" variant="outline" disabled={copy.isPending} onClick={branch}>
          Begin a job from it
        </Button>
      </Box>
    </Box>
  );
}
