import { Button, Dialog, Flex, Text } from '@chakra-ui/react';
import { tz } from '@date-fns/tz';
import type { Reading } from '@north-pane/core/proof';
import { formatCount, formatQuantity, type Habit } from '@north-pane/core/quantity';
import { format } from 'date-fns';
import { type ColumnDef, DataTable } from '../../parts/DataTable';
import { Frame } from '../../parts/Frame';
import { TwoStep } from '../../parts/TwoStep';
import { type Source, useTakeOutReadings } from '../../state/readings';

/** Everything that was measured under one name, to be looked through; one reading or all of it can be taken out again. */
export function ReadingsDialog(props: { source: Source; zone: string; habit: Habit; onClose(): void }) {
  const { source, zone, habit, onClose } = props;
  const takeOut = useTakeOutReadings();
  const { name, count, readings } = source;
  const inZone = tz(zone);
  const when = (time: number) => format(inZone(new Date(time)), 'yyyy-MM-dd HH:mm');
  const degrees = (key: 'inlet' | 'outlet' | 'air', header: string): ColumnDef<Reading> => ({
    accessorKey: key,
    header,
    meta: { end: true, ...(key === 'air' ? { wide: true } : {}) },
    cell: ({ row }) => formatQuantity('temperature', row.original[key], habit).text,
  });
  const columns: ColumnDef<Reading>[] = [
    { id: 'time', accessorFn: ({ time }) => when(time), header: 'when' },
    degrees('inlet', 'in'),
    degrees('outlet', 'out'),
    {
      id: 'gain',
      accessorFn: ({ inlet, outlet }) => outlet - inlet,
      header: 'temperature rise',
      meta: { end: true },
      cell: ({ row: { original } }) =>
        formatQuantity('temperatureDifference', original.outlet - original.inlet, habit).text,
    },
    degrees('air', 'air'),
    {
      accessorKey: 'flow',
      header: 'flow',
      meta: { end: true, wide: true },
      cell: ({ row }) => formatQuantity('flow', row.original.flow, habit).text,
    },
    {
      id: 'sun',
      accessorFn: ({ irradiance, sky }) => irradiance ?? sky ?? '',
      header: 'sun',
      meta: { wide: true },
      cell: ({ row: { original } }) =>
        original.irradiance === undefined
          ? (original.sky ?? '')
          : formatQuantity('irradiance', original.irradiance, habit).text,
    },
    {
      id: 'out',
      header: '',
      meta: { end: true },
      cell: ({ row: { original } }) => (
        <TwoStep
          words="Take out"
          of={`reading of ${when(original.time)}`}
          ask="For good?"
          disabled={takeOut.isPending}
          onDo={() => takeOut.mutate({ source: name, from: original.time, to: original.time })}
        />
      ),
    },
  ];
  return (
    <Frame title={`Measured: ${name}`} wide onClose={onClose}>
      <Dialog.Body>
        {takeOut.isError && (
          <Text role="alert" color="brickText" mb="2">
            {takeOut.error.message}
          </Text>
        )}
        <Flex justify="space-between" align="center" gap="3" mb="3" wrap="wrap">
          <Text>
            {formatCount(count, 'reading')}
            {count > readings.length ? `, the newest ${formatCount(readings.length, 'reading')} of them below` : ''}.
          </Text>
          <TwoStep
            words="Take all out"
            of={name}
            ask={`${formatCount(count, 'reading')} would be gone.`}
            disabled={takeOut.isPending}
            onDo={() => takeOut.mutate({ source: name }, { onSuccess: onClose })}
          />
        </Flex>
        <DataTable
          label={`Readings, ${name}`}
          rows={readings}
          columns={columns}
          idOf={({ time }) => String(time)}
          filter="Find a day or a sky"
          sortFirst={[{ id: 'time', desc: true }]}
        />
      </Dialog.Body>
      <Dialog.Footer>
        <Button variant="outline" onClick={onClose}>
          Back
        </Button>
      </Dialog.Footer>
    </Frame>
  );
}
