import { Box, Flex, Stack, Text } from '@chakra-ui/react';
import { type Job, resultKey } from '@north-pane/core/document';
import { type DayKind, dayKinds, type StoreDay } from '@north-pane/core/forecasting';
import { formatQuantity, type Habit, sayWords } from '@north-pane/core/quantity';
import { sayReadout } from '@north-pane/core/readout';
import { monthNames } from '@north-pane/core/sky';
import { useState } from 'react';
import * as z from 'zod';
import { Chips } from '../../parts/Chips';
import { Choice } from '../../parts/Choice';
import { Readout } from '../../parts/Readout';
import { Section } from '../../parts/Section';
import { useHabit } from '../../state/habit';
import { useRemembered } from '../../state/remembered';
import { ink } from '../../theme/ink';
import { useWork } from '../../workers/useWork';
import { DrawDay } from './DrawDay';

const daySchema = z.strictObject({ month: z.int().min(0).max(11), kind: z.enum(dayKinds) });
/** An average day of a month that is neither summer nor winter. */
const usual: z.infer<typeof daySchema> = { month: 8, kind: 'average' };

/** A heater that is its own store through a day with its draws: by the hour, and in figures beside the other kinds of day. */
export function StoreForecast({ job, index, title }: { job: Job; index: number; title: string | undefined }) {
  const habit = useHabit();
  const [chosen, setChosen] = useRemembered(`day ${index}`, daySchema, usual);
  const key = `${index} ${chosen.month} ${resultKey(job, ['heat', 'need'])}`;
  const { value, fresh, trouble } = useWork('days', key, (heavy) => heavy.storeDays(job, index, chosen.month));
  const day = value?.[chosen.kind];
  return (
    <Flex direction={{ base: 'column', lg: 'row' }} p="5" gap="6" as="section" aria-label={title ?? 'A day with draws'}>
      <Box w={{ base: '100%', lg: '250px' }} flexShrink={0}>
        <Section title="The day" aside={title}>
          <Stack gap="3">
            <Choice
              label="Month"
              value={String(chosen.month)}
              choices={monthNames.map((words, month) => ({ value: String(month), words }))}
              onValue={(month) => setChosen({ ...chosen, month: Number(month) })}
            />
            <Chips
              label="Sky"
              value={chosen.kind}
              choices={dayKinds}
              onValue={(kind) => setChosen({ ...chosen, kind })}
            />
          </Stack>
        </Section>
        {day && <Drawn day={day} habit={habit} />}
      </Box>
      <Stack flex="1" minW="0" gap="3">
        {trouble && <Text color="ochreText">Cannot be worked out: {trouble}. All else still holds.</Text>}
        <Box as="section" aria-label="Tanks through the day">
          <Flex justify="space-between" align="baseline" gap="3">
            <Text as="h2" fontFamily="heading" fontWeight="600" fontSize="17px">
              Tanks through the day
            </Text>
            <Text fontSize="13px" color="soft">
              {fresh ? `once a run of such days has settled` : 'working out the days…'}
            </Text>
          </Flex>
          <Box h="max(250px, calc(50dvh - 120px))">{day && <DrawDay day={day} habit={habit} />}</Box>
        </Box>
        {value && <Days days={value} kind={chosen.kind} habit={habit} />}
        <Text fontSize="13px" color="soft">
          Weather is the month’s mean for the place: clear is what the sky lets through, average its mean sun, bad three
          tenths of that. Draws follow the need on Place. Verified against worked cases; nothing is proved until you
          measure.
        </Text>
      </Stack>
    </Flex>
  );
}

function Drawn({ day, habit }: { day: StoreDay; habit: Habit }) {
  return (
    <Section title="Drawn">
      {day.draws.map(({ hour, volume, temperature, cold }) => (
        <Box key={hour} mb="1.5">
          <Text fontFamily="heading" fontWeight="600" fontSize="17px">
            {clock(hour)}: {formatQuantity('volume', volume, habit, 0).text} at{' '}
            {formatQuantity('temperature', temperature, habit, 0).text}
          </Text>
          <Text fontSize="14px" color="soft">
            {formatQuantity('temperatureDifference', temperature - cold, habit, 0).text} over mains
          </Text>
        </Box>
      ))}
    </Section>
  );
}

/** 18.5 as 18:30. */
function clock(hour: number): string {
  const minutes = Math.round(hour * 60);
  return `${Math.floor(minutes / 60)}:${String(minutes % 60).padStart(2, '0')}`;
}

/** Figures of all three kinds of day; those of the chosen one open to their derivation. */
function Days({ days, kind, habit }: { days: Record<DayKind, StoreDay>; kind: DayKind; habit: Habit }) {
  const [opened, setOpened] = useState<string | undefined>(undefined);
  const open = days[kind].readouts.find(({ label, derivation }) => derivation && label === opened);
  return (
    <Box>
      <Box overflowX="auto" role="region" aria-label="Clear, average and bad days" tabIndex={0}>
        <table style={{ width: '100%', borderCollapse: 'collapse' }}>
          <thead>
            <tr>
              <th style={{ ...cell, textAlign: 'left', color: ink('soft'), fontWeight: 400 }} scope="col">
                figure
              </th>
              {dayKinds.map((one) => (
                <th key={one} scope="col" style={{ ...cell, fontWeight: one === kind ? 600 : 400 }}>
                  {one}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {days[kind].readouts.map(({ id, label, derivation }) => (
              <tr key={id}>
                <th scope="row" style={{ ...cell, textAlign: 'left', fontWeight: 400 }}>
                  {derivation ? (
                    <button
                      type="button"
                      style={{ textAlign: 'left', cursor: 'pointer', textDecoration: 'underline dotted' }}
                      aria-expanded={opened === label}
                      onClick={() => setOpened(opened === label ? undefined : label)}
                    >
                      {sayWords(label, habit)}
                    </button>
                  ) : (
                    sayWords(label, habit)
                  )}
                </th>
                {dayKinds.map((one) => {
                  const readout = days[one].readouts.find((found) => found.id === id);
                  return (
                    <td key={one} style={{ ...cell, ...figure, color: ink(one === kind ? 'ink' : 'soft') }}>
                      {readout && readout.values.length > 0 ? sayReadout(readout, habit) : 'none'}
                    </td>
                  );
                })}
              </tr>
            ))}
          </tbody>
        </table>
      </Box>
      {open && (
        <Readout
          label={sayWords(open.label, habit)}
          value={sayReadout(open, habit)}
          derivation={open.derivation}
          habit={habit}
          onOpen={() => setOpened(undefined)}
        />
      )}
    </Box>
  );
}

const cell = { padding: '4px 10px 4px 0', borderBottom: `1px solid ${ink('line')}`, textAlign: 'right' } as const;
const figure = { fontFamily: 'var(--np-fonts-heading)', fontWeight: 600, fontSize: 17, whiteSpace: 'nowrap' } as const;
