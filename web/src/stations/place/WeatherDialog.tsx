import { Box, Button, Dialog, Flex, Input, Stack, Text } from '@chakra-ui/react';
import type { Finding } from '@north-pane/core/care';
import type { Job } from '@north-pane/core/document';
import { formatNumber, type Habit } from '@north-pane/core/quantity';
import {
  proposeWeather,
  type Repairs,
  sayWeather,
  type WeatherMapping,
  type WeatherProposal,
} from '@north-pane/core/sky';
import { useEffect, useRef, useState } from 'react';
import { Frame } from '../../parts/Frame';
import { RefusedLines, type TableFile, TableFileEntry, TablePreview } from '../../parts/tableFile';
import { useJob } from '../../state/job';
import { keepSeries } from '../../state/weather';
import { lookThrough } from '../../workers/lookThrough';
import type { WeatherLook } from '../../workers/weather.worker';
import { MonthBars } from './MonthBars';
import { WeatherColumns } from './WeatherColumns';

const mostMegabytes = 60;

const day = (at: number, timeZone: string) =>
  new Date(at).toLocaleDateString('en-GB', { timeZone, day: 'numeric', month: 'long', year: 'numeric' });

type Work = { kind: 'idle' } | { kind: 'reading' | 'sending'; share: number; stop(): void };

/** A file of weather: its columns named, looked through by the sun, mended where that is wanted, and only then kept. */
export function WeatherDialog({ job, habit, onClose }: { job: Job; habit: Habit; onClose(): void }) {
  const id = useJob((state) => state.id) ?? '';
  const [file, setFile] = useState<TableFile | undefined>(undefined);
  const [proposal, setProposal] = useState<WeatherProposal>({ mapping: { columns: {} }, orderUnsure: false });
  const [repairs, setRepairs] = useState<Partial<Repairs>>({});
  const [look, setLook] = useState<WeatherLook | undefined>(undefined);
  const [name, setName] = useState('');
  const [work, setWork] = useState<Work>({ kind: 'idle' });
  const [trouble, setTrouble] = useState<string | undefined>(undefined);
  const stop = useRef(() => {});
  useEffect(() => () => stop.current(), []);

  const { mapping } = proposal;
  const read = async (from: WeatherProposal['mapping'], wanted: Partial<Repairs>) => {
    if (!file || !from.time) return;
    setTrouble(undefined);
    const reading = lookThrough(
      { text: file.text, mapping: { time: from.time, columns: from.columns }, site: job.site, repairs: wanted },
      (share) => setWork((now) => (now.kind === 'reading' ? { ...now, share } : now)),
    );
    stop.current = () => {
      reading.stop();
      setWork({ kind: 'idle' });
    };
    setWork({ kind: 'reading', share: 0, stop: () => stop.current() });
    try {
      setLook(await reading.done);
    } catch {
      setTrouble('The file could not be read to its end. Is it whole?');
    }
    stop.current = () => {};
    setWork({ kind: 'idle' });
  };
  const change = (next: WeatherProposal['mapping']) => {
    stop.current();
    setLook(undefined);
    setRepairs({});
    setProposal({ mapping: next, orderUnsure: false });
  };
  const mend = (nextMapping: WeatherProposal['mapping'], nextRepairs: Partial<Repairs>) => {
    setProposal({ mapping: nextMapping, orderUnsure: false });
    setRepairs(nextRepairs);
    void read(nextMapping, nextRepairs);
  };
  const load = (chosen: TableFile | undefined) => {
    stop.current();
    setFile(chosen);
    setLook(undefined);
    setRepairs({});
    setTrouble(undefined);
    if (!chosen) return;
    setProposal(proposeWeather(chosen.table));
    setName(chosen.name.replace(/\.[^.]+$/, '').slice(0, 120));
  };
  const keep = async () => {
    if (!look?.found) return;
    const { bytes, months } = look.found;
    const series = { name: name.trim() || 'weather', bytes, months };
    const abort = new AbortController();
    stop.current = () => abort.abort();
    setTrouble(undefined);
    setWork({ kind: 'sending', share: 0, stop: () => stop.current() });
    try {
      await keepSeries(id, series, {
        onProgress: (share) => setWork((now) => (now.kind === 'sending' ? { ...now, share } : now)),
        signal: abort.signal,
      });
      stop.current = () => {};
      onClose();
    } catch (error) {
      setTrouble((error as Error).message);
      setWork({ kind: 'idle' });
    }
  };

  const busy = work.kind !== 'idle';
  return (
    <Frame title="Import weather file" wide onClose={busy ? undefined : onClose}>
      <Dialog.Body>
        <Stack gap="4">
          <TableFileEntry
            id="weather-file"
            label="CSV, hourly or finer, from a weather station or a service"
            mostMegabytes={mostMegabytes}
            onFile={load}
          />
          {file && !look && (
            <>
              <TablePreview table={file.table} />
              <WeatherColumns table={file.table} proposal={proposal} onMapping={change} />
            </>
          )}
          {look?.trouble && (
            <Text role="alert" color="brickText" fontWeight="600">
              {look.trouble}
            </Text>
          )}
          {look && <RefusedLines {...look.refused} />}
          {look && (
            <Matters
              matters={look.matters}
              habit={habit}
              repairs={repairs}
              busy={busy}
              onRepairs={(next) => mend(mapping, next)}
              onTime={(patch) => mapping.time && mend({ ...mapping, time: { ...mapping.time, ...patch } }, repairs)}
            />
          )}
          {look?.found && (
            <Box role="status">
              <Text fontFamily="heading" fontWeight="600" fontSize="18px">
                {formatNumber(look.rows)} lines read: {formatNumber((look.found.length * look.found.step) / 86_400)}{' '}
                days from {day(look.found.start, job.site.zone)}, every {formatNumber(look.found.step / 60)} minutes.
                Nothing is kept yet.
              </Text>
              <MonthBars months={look.found.months} habit={habit} />
              <label htmlFor="weather-name">
                <Text as="span" fontSize="14px" color="soft">
                  What you call it
                </Text>
              </label>
              <Input
                id="weather-name"
                size="sm"
                maxW="300px"
                display="block"
                maxLength={120}
                value={name}
                onChange={(event) => setName(event.currentTarget.value)}
              />
            </Box>
          )}
          {trouble && (
            <Text role="alert" color="brickText" fontWeight="600">
              {trouble}
            </Text>
          )}
          {work.kind !== 'idle' && <Progress work={work} />}
        </Stack>
      </Dialog.Body>
      <Dialog.Footer>
        {work.kind === 'idle' ? (
          <Button variant="outline" onClick={onClose}>
            Cancel, keep nothing
          </Button>
        ) : (
          <Button variant="outline" onClick={work.stop}>
            Stop
          </Button>
        )}
        {look && !busy && (
          <Button variant="outline" onClick={() => setLook(undefined)}>
            Back to the columns
          </Button>
        )}
        {file && !look && (
          <Button variant="solid" disabled={busy || !mapping.time} onClick={() => void read(mapping, repairs)}>
            Look through it
          </Button>
        )}
        {look?.found && (
          <Button variant="solid" disabled={busy} onClick={() => void keep()}>
            Keep this weather
          </Button>
        )}
      </Dialog.Footer>
    </Frame>
  );
}

function Progress({ work }: { work: Exclude<Work, { kind: 'idle' }> }) {
  const percent = Math.round(work.share * 100);
  return (
    <Box>
      <Text fontSize="14px" color="soft">
        {work.kind === 'reading' ? 'Looking through it' : 'Sending'}: {percent} %
      </Text>
      <Box
        role="progressbar"
        aria-label={work.kind === 'reading' ? 'Looking through the file' : 'Sending the weather'}
        aria-valuenow={percent}
        aria-valuemin={0}
        aria-valuemax={100}
        h="10px"
        bg="well"
        borderRadius="3px"
        overflow="hidden"
      >
        <Box h="100%" bg="paneFill" style={{ width: `${percent}%` }} />
      </Box>
    </Box>
  );
}

interface MattersProps {
  matters: readonly Finding[];
  habit: Habit;
  repairs: Partial<Repairs>;
  busy: boolean;
  onRepairs(repairs: Partial<Repairs>): void;
  onTime(patch: Partial<WeatherMapping['time']>): void;
}

/** What the file shows that weather cannot be, each with the mending that is offered. */
function Matters({ matters, habit, repairs, busy, onRepairs, onTime }: MattersProps) {
  return (
    <Stack gap="3">
      {matters.map((finding) => {
        const { headline, detail, remedy } = sayWeather(finding, habit);
        const caution = finding.severity === 'caution';
        return (
          <Box
            key={finding.code}
            borderLeftWidth="6px"
            borderColor={caution ? 'ochre' : 'line'}
            bg="ground"
            p="3"
            data-matter={finding.code}
          >
            <Text fontFamily="heading" fontWeight="600" fontSize="17px" color={caution ? 'ochreText' : 'ink'}>
              {headline}
            </Text>
            <Text fontSize="14px">{detail}</Text>
            <Text fontSize="14px" color="soft">
              {remedy}
            </Text>
            <Mending finding={finding} repairs={repairs} busy={busy} onRepairs={onRepairs} onTime={onTime} />
          </Box>
        );
      })}
    </Stack>
  );
}

function Mending({
  finding,
  repairs,
  busy,
  onRepairs,
  onTime,
}: Omit<MattersProps, 'matters' | 'habit'> & { finding: Finding }) {
  const { code, values } = finding;
  const act = (words: string, go: () => void) => (
    <Button size="xs" variant="outline" mt="2" disabled={busy} onClick={go}>
      {words}
    </Button>
  );
  const toggle = (name: 'clear' | 'bridge', words: string) => (
    <Flex as="label" align="center" gap="2" mt="2" fontSize="14px" fontWeight="600">
      <input
        type="checkbox"
        checked={repairs[name] ?? false}
        disabled={busy}
        onChange={(event) => onRepairs({ ...repairs, [name]: event.currentTarget.checked })}
      />
      {words}
    </Flex>
  );
  switch (code) {
    case 'weather-clock-misread':
      return act('Read it so', () =>
        onTime({
          clock: values.clock as WeatherMapping['time']['clock'],
          stamp: values.stamp as WeatherMapping['time']['stamp'],
        }),
      );
    case 'weather-clock-shifted':
      return act('Move all times', () =>
        onRepairs({ ...repairs, shiftMinutes: (repairs.shiftMinutes ?? 0) + Number(values.shift) }),
      );
    case 'weather-years-mixed':
      return act('Lay them in one year', () => onRepairs({ ...repairs, oneYear: true }));
    case 'weather-sun-at-night':
    case 'weather-too-strong':
      return toggle('clear', 'Clear what cannot be');
    case 'weather-gaps':
      return toggle('bridge', 'Bridge the gaps');
    default:
      return null;
  }
}
