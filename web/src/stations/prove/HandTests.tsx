import { Box, Button, Dialog, Flex, Grid, Text } from '@chakra-ui/react';
import { uncertainWords } from '@north-pane/core/figures';
import { kitchenScaleStep, probeRepeatability, type TestBench } from '@north-pane/core/heat';
import { type OpenJob, openJob } from '@north-pane/core/job';
import { bondTest, type Found, paneTest, plateTest, withFound } from '@north-pane/core/proving';
import { fineMarks, formatLength, formatNumber, type Habit, type QuantityKind } from '@north-pane/core/quantity';
import { format } from 'date-fns';
import { useEffect, useState } from 'react';
import { Controller, useForm, useWatch } from 'react-hook-form';
import * as z from 'zod';
import { Chips } from '../../parts/Chips';
import { Entry } from '../../parts/Entry';
import { Frame } from '../../parts/Frame';
import { useHabit } from '../../state/habit';
import { useDocument, useJob } from '../../state/job';
import { useRemembered } from '../../state/remembered';

interface Field {
  name: string;
  label: string;
  kind: QuantityKind | 'number';
  digits?: number;
}

interface Test {
  name: 'Bond' | 'Pane' | 'Plate';
  /** How it is done, in the order of the hands. */
  how: string;
  fields: Field[];
  /** Rows of readings; one where a second would say nothing new. */
  rows: number;
  find(
    open: OpenJob,
    index: number,
    rows: Record<string, number>[],
    bench: TestBench,
  ): (Found & { words?: string }) | undefined;
  /** Whether it asks how the panel lies: painted or bare, its back open or not. */
  lies?: true;
  /** Why nothing comes of full rows. */
  nothing: string;
}

const tests: Test[] = [
  {
    name: 'Bond',
    how: 'Bare panel, face up, indoors, no draught. Run water of about 60 °C through it. When nothing moves any more, touch one probe to a tube, then to the plate right beside it: a probe, never a finger, it scalds. Black paint or tape under the probe; an infrared gun on bare copper reads the ceiling.',
    lies: true,
    fields: [
      { name: 'tube', label: 'tube', kind: 'temperature' },
      { name: 'plate', label: 'plate beside it', kind: 'temperature' },
      { name: 'room', label: 'room', kind: 'temperature' },
    ],
    rows: 3,
    find: (open, index, rows, bench) =>
      bondTest(
        open,
        index,
        rows.map(({ tube = 0, plate = 0, room = 0 }) => ({ tube, plate, room })),
        probeRepeatability,
        bench,
      ),
    nothing: 'The tube must be at least as warm as the plate, and the plate warmer than the room.',
  },
  {
    name: 'Pane',
    how: 'Clear noon, the pane clean. Hold a small solar cell square to the sun and read its short-circuit current; then again at once behind the pane, the pane square to the sun too.',
    fields: [
      { name: 'bare', label: 'bare, mA', kind: 'number' },
      { name: 'behind', label: 'behind the pane, mA', kind: 'number' },
    ],
    rows: 3,
    find: (_, __, rows) => paneTest(rows.map(({ bare = 0, behind = 0 }) => ({ bare, behind }))),
    nothing: 'The current behind the pane must be above 0 and not above the bare one.',
  },
  {
    name: 'Plate',
    how: 'Cut a piece of the plate with square corners, as large as the scale takes. Measure both sides, weigh it to the gram.',
    fields: [
      { name: 'mass', label: 'weight', kind: 'mass', digits: 3 },
      { name: 'length', label: 'length', kind: 'length' },
      { name: 'width', label: 'width', kind: 'length' },
    ],
    rows: 1,
    find: (open, index, rows) => {
      const design = open.panels[index]?.design;
      const [row] = rows;
      if (!design || !row) return undefined;
      const { mass = 0, length = 0, width = 0 } = row;
      const { thickness, density } = design.plate;
      const found = plateTest({ mass, length, width, density, resolution: kitchenScaleStep }, thickness);
      if (!found) return undefined;
      return { ...found, words: `${formatNumber(1000 * found.thickness.likely, 2)} mm thick` };
    },
    nothing: 'Weight and both sides must be above 0.',
  },
];

/** The fields that are filled. */
function numbersOf(typed: Partial<Record<string, number>>): Record<string, number> {
  return Object.fromEntries(
    Object.entries(typed).filter((field): field is [string, number] => typeof field[1] === 'number'),
  );
}

/** Tests by hand: readings in, a value with its spread out, laid over the design as it was built. */
export function HandTests({ onClose }: { onClose(): void }) {
  const habit = useHabit();
  const document = useDocument();
  const change = useJob((state) => state.change);
  const [name, setName] = useState<Test['name']>('Bond');
  const [index, setIndex] = useState(0);
  const [left, leave] = useRemembered('tests by hand', z.record(z.string(), z.number()), {});
  const { control, handleSubmit, setError, formState } = useForm<Record<string, number>>({ defaultValues: left });
  const typed = useWatch({ control });
  useEffect(() => leave(numbersOf(typed)), [typed, leave]);
  const [bench, setBench] = useState<TestBench>({ painted: true, backOpen: false });
  const test = tests.find((one) => one.name === name) ?? tests[0];
  if (!test) return null;
  const open = openJob(document);
  const key = (row: number, field: string) => `${name} ${row} ${field}`;
  const rows = Array.from({ length: test.rows }, (_, row) => row);
  const full = rows.flatMap((row) => {
    const values = test.fields.map((field) => [field.name, typed[key(row, field.name)]] as const);
    return values.every(([, value]) => value !== undefined)
      ? [Object.fromEntries(values) as Record<string, number>]
      : [];
  });
  const found = full.length > 0 ? test.find(open, index, full, bench) : undefined;
  const keep = () => {
    if (!found) return;
    const source = `${name.toLowerCase()} test, ${format(new Date(), 'd MMMM yyyy')}`;
    const outcome = change('asBuilt', withFound(document, index, found, source));
    if (outcome.ok) {
      leave({});
      onClose();
    } else setError('root', { message: outcome.message });
  };
  return (
    <Frame title="Tests by hand" wide onClose={onClose} onSubmit={handleSubmit(keep)}>
      <Dialog.Body>
        <Flex gap="6" wrap="wrap" mb="3">
          <Chips<Test['name']> label="Which" value={name} choices={tests.map((one) => one.name)} onValue={setName} />
          {document.panels.length > 1 && (
            <Chips
              label="Panel"
              value={document.panels[index]?.id}
              choices={document.panels.map(({ id }) => id)}
              onValue={(id) => setIndex(document.panels.findIndex((one) => one.id === id))}
            />
          )}
        </Flex>
        <Text mb="3">{test.how}</Text>
        {test.lies && (
          <Flex gap="6" wrap="wrap" mb="3">
            <Chips
              label="Its face"
              value={bench.painted ? 'painted' : 'bare metal'}
              choices={['painted', 'bare metal']}
              onValue={(face) => setBench({ ...bench, painted: face === 'painted' })}
            />
            <Chips
              label="Its back"
              value={bench.backOpen ? 'open to the room' : 'on insulation'}
              choices={['on insulation', 'open to the room']}
              onValue={(back) => setBench({ ...bench, backOpen: back === 'open to the room' })}
            />
          </Flex>
        )}
        {rows.map((row) => (
          <Grid key={`${name} ${row}`} templateColumns={`repeat(${test.fields.length}, minmax(0, 1fr))`} gap="3" mb="2">
            {test.fields.map((field) => (
              <Controller
                key={field.name}
                control={control}
                name={key(row, field.name)}
                render={({ field: held }) => (
                  <Entry
                    label={test.rows > 1 ? `${field.label}, ${row + 1}` : field.label}
                    value={held.value}
                    kind={field.kind}
                    habit={habit}
                    {...(field.digits === undefined ? {} : { digits: field.digits })}
                    onValue={(value) => {
                      held.onChange(value);
                      return undefined;
                    }}
                  />
                )}
              />
            ))}
          </Grid>
        ))}
        <Box
          borderLeftWidth="6px"
          borderColor={found ? 'pane' : 'line'}
          bg="ground"
          px="4"
          py="3"
          mt="3"
          aria-live="polite"
        >
          {found ? (
            <FoundWords found={found} open={open} index={index} habit={habit} />
          ) : (
            <Text color={full.length > 0 ? 'brickText' : 'soft'}>
              {full.length > 0 ? test.nothing : 'Fill a row; more rows make it surer.'}
            </Text>
          )}
        </Box>
        {formState.errors.root && (
          <Text role="alert" color="brickText" mt="2">
            {formState.errors.root.message}
          </Text>
        )}
      </Dialog.Body>
      <Dialog.Footer>
        <Flex gap="3">
          <Button variant="outline" type="button" onClick={onClose}>
            Leave it
          </Button>
          <Button type="submit" variant="solid" disabled={!found}>
            Lay it over the design as built
          </Button>
        </Flex>
      </Dialog.Footer>
    </Frame>
  );
}

function FoundWords({
  found,
  open,
  index,
  habit,
}: {
  found: Found & { words?: string };
  open: OpenJob;
  index: number;
  habit: Habit;
}) {
  const { name, unit, digits } = uncertainWords[found.input];
  const write = (value: number) => formatNumber(value, value < 10 ? Math.max(1, digits) : digits);
  const { low, likely, high } = found.value;
  const design = open.panels[index]?.design;
  const drawn = found.words && design ? `, drawn ${formatLength(design.plate.thickness, habit, fineMarks).text}` : '';
  return (
    <>
      <Text fontFamily="heading" fontWeight="600" fontSize="20px">
        {name}: {write(likely)} {unit}
      </Text>
      <Text>
        nine in ten between {write(low)} and {write(high)}
        {found.words ? `; ${found.words}${drawn}` : ''}
      </Text>
    </>
  );
}
