import { Box, Flex, NativeSelect, Text } from '@chakra-ui/react';
import {
  clockInWords,
  clocks,
  columnWords,
  stampInWords,
  stamps,
  type WeatherColumn,
  type WeatherProposal,
  weatherColumns,
  weatherUnits,
} from '@north-pane/core/sky';
import type { Table } from '@north-pane/core/table';
import { Choice } from '../../parts/Choice';

type Mapping = WeatherProposal['mapping'];

const nothing = '';
const between = ' + ';
const orders = [
  { value: 'ymd', words: 'year, month, day' },
  { value: 'dmy', words: 'day, month, year' },
  { value: 'mdy', words: 'month, day, year' },
] as const;

/** Which column of a weather file is what, in which unit, and how its times are meant. */
export function WeatherColumns(props: { table: Table; proposal: WeatherProposal; onMapping(mapping: Mapping): void }) {
  const { table, proposal, onMapping } = props;
  const { mapping, orderUnsure } = proposal;
  const { time } = mapping;
  const headings = table.headings.filter((heading) => heading !== '');
  const choices = [
    { value: nothing, words: 'not in the file' },
    ...headings.map((heading) => ({ value: heading, words: heading })),
  ];
  const whole = time?.columns.join(between) ?? nothing;
  const timeChoices = [
    { value: nothing, words: 'choose' },
    ...(time && time.columns.length > 1 ? [{ value: whole, words: whole }] : []),
    ...headings.map((heading) => ({ value: heading, words: heading })),
  ];
  const setTime = (patch: Partial<NonNullable<Mapping['time']>>) =>
    time && onMapping({ ...mapping, time: { ...time, ...patch } });
  const setColumn = (name: WeatherColumn, column: string) => {
    const columns = { ...mapping.columns };
    if (column === nothing) delete columns[name];
    else columns[name] = { column, unit: columns[name]?.unit ?? weatherUnits(name)[0] ?? '' };
    onMapping({ ...mapping, columns });
  };
  return (
    <>
      <Flex gap="3" wrap="wrap" align="start">
        <Box w="210px">
          <Choice
            label="time"
            value={whole}
            choices={timeChoices}
            onValue={(column) =>
              onMapping({
                ...mapping,
                time:
                  column === nothing
                    ? undefined
                    : { order: 'ymd', clock: 'site', stamp: 'start', ...time, columns: column.split(between) },
              })
            }
          />
        </Box>
        {time && (
          <>
            <Box w="170px">
              <Choice label="dates are" value={time.order} choices={orders} onValue={(order) => setTime({ order })} />
            </Box>
            <Box w="290px">
              <Choice
                label="clock"
                value={time.clock}
                choices={clocks.map((value) => ({ value, words: clockInWords(value) }))}
                onValue={(clock) => setTime({ clock })}
              />
            </Box>
            <Box w="250px">
              <Choice
                label="a row is stamped at"
                value={time.stamp}
                choices={stamps.map((value) => ({ value, words: stampInWords(value) }))}
                onValue={(stamp) => setTime({ stamp })}
              />
            </Box>
          </>
        )}
      </Flex>
      {orderUnsure && (
        <Text role="alert" color="ochreText">
          Day and month could be either way round in these rows. Say which it is.
        </Text>
      )}
      <Flex gap="3" wrap="wrap">
        {weatherColumns.map((name) => {
          const mapped = mapping.columns[name];
          const words = columnWords[name];
          return (
            <Box key={name} w="190px">
              <Choice
                label={words}
                value={mapped?.column ?? nothing}
                choices={choices}
                onValue={(column) => setColumn(name, column)}
              />
              {mapped && (
                <NativeSelect.Root size="sm" mt="1">
                  <NativeSelect.Field
                    aria-label={`unit of ${words}`}
                    bg="card"
                    borderColor="line"
                    value={mapped.unit}
                    onChange={(event) =>
                      onMapping({
                        ...mapping,
                        columns: { ...mapping.columns, [name]: { ...mapped, unit: event.currentTarget.value } },
                      })
                    }
                  >
                    {weatherUnits(name).map((symbol) => (
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
    </>
  );
}
