import { Box, Button, Dialog, Flex, Input, NativeSelect, Stack, Text } from '@chakra-ui/react';
import {
  type ColumnName,
  columnKinds,
  columnNames,
  proposeMapping,
  type ReadingMapping,
  type Sensors,
} from '@north-pane/core/proof';
import { formatCount, formatNumber, type QuantityKind, unitSymbols } from '@north-pane/core/quantity';
import { useMutation } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { Choice } from '../../parts/Choice';
import { Frame } from '../../parts/Frame';
import { RefusedLines, type TableFile, TableFileEntry, TablePreview } from '../../parts/tableFile';
import { type ImportReport, importReadings } from '../../state/importReadings';
import { saveNow, useJob } from '../../state/job';
import { refreshSources } from '../../state/readings';
import { SensorChoices } from './SensorChoices';

const mostMegabytes = 20;
const columnWords: Record<ColumnName, string> = {
  inlet: 'water in',
  outlet: 'water out',
  air: 'air',
  flow: 'flow',
  irradiance: 'sun on the pane',
  wind: 'wind',
};
const nothing = '';

/** A file of readings: its columns named, looked through, and only then kept or not. */
export function ImportDialog({ sensors: standard, onClose }: { sensors: Sensors; onClose(): void }) {
  const id = useJob((state) => state.id) ?? '';
  const [file, setFile] = useState<TableFile | undefined>(undefined);
  const [mapping, setMapping] = useState<Partial<ReadingMapping> & { columns: ReadingMapping['columns'] }>({
    columns: {},
  });
  const [source, setSource] = useState('');
  const [sensors, setSensors] = useState<Sensors>(standard);

  const [percent, setPercent] = useState(0);
  const stop = useRef<AbortController | undefined>(undefined);
  const send = useMutation({
    mutationFn: async (keep: 'nothing' | 'good rows') => {
      if (!file || !mapping.time) throw new Error('Choose a file and say which column holds the time.');
      const { time, columns, decimal } = mapping;
      setPercent(0);
      stop.current = new AbortController();
      if (keep !== 'nothing') await saveNow();
      return importReadings(
        id,
        {
          text: file.text,
          mapping: { time, columns, ...(decimal ? { decimal } : {}) },
          source: source || file.name,
          sensors,
          keep,
        },
        { onProgress: setPercent, signal: stop.current.signal },
      );
    },
    onSuccess: async (report) => {
      if (report.kept) await refreshSources(id);
    },
  });

  const load = (chosen: TableFile | undefined) => {
    send.reset();
    setFile(chosen);
    if (!chosen) return;
    setMapping(proposeMapping(chosen.table));
    setSource(chosen.name.replace(/\.[^.]+$/, ''));
  };
  const setColumn = (name: ColumnName, column: string) => {
    send.reset();
    const columns = { ...mapping.columns };
    if (column === nothing) delete columns[name];
    else columns[name] = { column, unit: columns[name]?.unit ?? unitSymbols(columnKinds[name])[0] ?? '' };
    setMapping({ ...mapping, columns });
  };
  const report = send.data;

  return (
    <Frame title="Import file of readings" wide onClose={onClose}>
      <Dialog.Body>
        <Stack gap="4">
          <TableFileEntry
            id="readings-file"
            label="CSV from a logger or a spreadsheet"
            mostMegabytes={mostMegabytes}
            onFile={load}
          />
          {report && <Report report={report} />}
          {file && !report?.kept && (
            <>
              {!report && <TablePreview table={file.table} />}
              <Columns
                file={file}
                mapping={mapping}
                onColumn={setColumn}
                onMapping={(next) => {
                  send.reset();
                  setMapping(next);
                }}
              />
              <Flex gap="3" wrap="wrap" align="end">
                <Box>
                  <label htmlFor="source-name">
                    <Text as="span" fontSize="14px" color="soft">
                      Where they come from
                    </Text>
                  </label>
                  <Input
                    id="source-name"
                    size="sm"
                    value={source}
                    onChange={(event) => setSource(event.currentTarget.value)}
                  />
                </Box>
                <SensorChoices sensors={sensors} onSensors={setSensors} />
              </Flex>
            </>
          )}
        </Stack>
      </Dialog.Body>
      <Dialog.Footer>
        {/* Beside the buttons: the columns above may be scrolled away. */}
        {send.isError && (
          <Text role="alert" color="brickText" fontWeight="600" flex="1">
            {send.error.message}
          </Text>
        )}
        {send.isPending && (
          <progress value={percent} max={100} aria-label="How far the file is" style={{ flex: 1, height: 12 }} />
        )}
        <Button
          variant="outline"
          onClick={() => {
            if (send.isPending) stop.current?.abort();
            else onClose();
          }}
        >
          {send.isPending ? 'Stop, keep nothing' : report?.kept ? 'Done' : 'Cancel, keep nothing'}
        </Button>
        {file && !report && (
          <Button variant="solid" disabled={send.isPending || !mapping.time} onClick={() => send.mutate('nothing')}>
            {send.isPending ? 'Looking through it…' : 'Look through it'}
          </Button>
        )}
        {report && !report.kept && report.added > 0 && (
          <Button variant="solid" disabled={send.isPending} onClick={() => send.mutate('good rows')}>
            {send.isPending ? 'Saving…' : `Save the ${formatCount(report.added, 'good row')}`}
          </Button>
        )}
      </Dialog.Footer>
    </Frame>
  );
}

function Columns(props: {
  file: TableFile;
  mapping: Partial<ReadingMapping> & { columns: ReadingMapping['columns'] };
  onColumn(name: ColumnName, column: string): void;
  onMapping(mapping: Partial<ReadingMapping> & { columns: ReadingMapping['columns'] }): void;
}) {
  const { file, mapping, onColumn, onMapping } = props;
  const choices = [
    { value: nothing, words: 'not in the file' },
    ...file.table.headings.map((heading) => ({ value: heading, words: heading })),
  ];
  return (
    <Flex gap="3" wrap="wrap">
      <Box w="190px">
        <Choice
          label="time"
          value={mapping.time?.column ?? nothing}
          choices={choices}
          onValue={(column) =>
            onMapping({
              ...mapping,
              ...(column
                ? { time: { ...mapping.time, column, zone: mapping.time?.zone ?? 'site' } }
                : { time: undefined }),
            })
          }
        />
        <NativeSelect.Root size="sm" mt="1">
          <NativeSelect.Field
            aria-label="clock of the times"
            value={mapping.time?.zone ?? 'site'}
            onChange={(event) =>
              mapping.time &&
              onMapping({
                ...mapping,
                time: { ...mapping.time, zone: event.currentTarget.value as ReadingMapping['time']['zone'] },
              })
            }
          >
            <option value="site">the site’s own clock</option>
            <option value="standard">standard time, all year</option>
            <option value="utc">UTC</option>
          </NativeSelect.Field>
          <NativeSelect.Indicator />
        </NativeSelect.Root>
        <NativeSelect.Root size="sm" mt="1">
          <NativeSelect.Field
            aria-label="how dates are written"
            value={mapping.time?.order ?? 'ymd'}
            onChange={(event) =>
              mapping.time &&
              onMapping({
                ...mapping,
                time: { ...mapping.time, order: event.currentTarget.value as 'ymd' | 'dmy' | 'mdy' },
              })
            }
          >
            <option value="ymd">dates year first</option>
            <option value="dmy">dates day first</option>
            <option value="mdy">dates month first</option>
          </NativeSelect.Field>
          <NativeSelect.Indicator />
        </NativeSelect.Root>
      </Box>
      <Box w="190px">
        <Choice
          label="Decimals"
          value={mapping.decimal ?? nothing}
          choices={[
            { value: nothing, words: 'ask where in doubt' },
            { value: 'point', words: '1,050 is a thousand and fifty' },
            { value: 'comma', words: '1,050 is 1.05' },
          ]}
          onValue={(mark) => {
            const { decimal: _, ...rest } = mapping;
            onMapping(mark === nothing ? rest : { ...rest, decimal: mark as 'point' | 'comma' });
          }}
        />
      </Box>
      {columnNames.map((name) => {
        const mapped = mapping.columns[name];
        return (
          <Box key={name} w="190px">
            <Choice
              label={columnWords[name]}
              value={mapped?.column ?? nothing}
              choices={choices}
              onValue={(column) => onColumn(name, column)}
            />
            {mapped && (
              <NativeSelect.Root size="sm" mt="1">
                <NativeSelect.Field
                  aria-label={`unit of ${columnWords[name]}`}
                  value={mapped.unit}
                  onChange={(event) =>
                    onMapping({
                      ...mapping,
                      columns: { ...mapping.columns, [name]: { ...mapped, unit: event.currentTarget.value } },
                    })
                  }
                >
                  {unitSymbols(columnKinds[name] as QuantityKind).map((symbol) => (
                    <option key={symbol} value={symbol}>
                      {symbol}
                    </option>
                  ))}
                </NativeSelect.Field>
                <NativeSelect.Indicator />
              </NativeSelect.Root>
            )}
          </Box>
        );
      })}
    </Flex>
  );
}

function Report({ report }: { report: ImportReport }) {
  const { kept, added, known, differing, refused, doubtful } = report;
  return (
    <Box
      borderLeftWidth="6px"
      borderColor={refused.count + differing.count > 0 ? 'ochre' : 'pane'}
      bg="ground"
      p="3"
      role="status"
    >
      <Text fontFamily="heading" fontWeight="600" fontSize="18px">
        {kept
          ? `${formatCount(added, 'reading')} kept.`
          : `${formatCount(added, 'reading')} can be kept. Nothing is kept yet.`}
      </Text>
      {known > 0 && <Text>{formatNumber(known)} stand here already, value for value, and are passed over.</Text>}
      {differing.count > 0 && (
        <Text color="ochreText">
          {formatNumber(differing.count)} have a time at which other values stand already; those are refused.
        </Text>
      )}
      {doubtful > 0 && !kept && (
        <Text color="ochreText">
          {formatNumber(doubtful)} cells have a comma before three digits: say under Decimals what it means, and look
          again.
        </Text>
      )}
      <RefusedLines {...refused} />
    </Box>
  );
}
