// The library changes what it gives in place: the compiler may not keep it.
'use no memo';

import { Box, Button, Dialog, Flex, Grid, Text } from '@chakra-ui/react';
import { type OpenJob, openJob } from '@north-pane/core/job';
import { handTestsOf, withFound } from '@north-pane/core/proving';
import { formatNumber } from '@north-pane/core/quantity';
import type { Settled, TestBench } from '@north-pane/core/thermal';
import { format } from 'date-fns';
import { useState } from 'react';
import { Controller, useForm, useWatch } from 'react-hook-form';
import * as z from 'zod';
import { Chips } from '../../parts/Chips';
import { Entry } from '../../parts/Entry';
import { Frame } from '../../parts/Frame';
import { useHabit } from '../../state/habit';
import { useDocument, useJob } from '../../state/job';
import { useRemembered } from '../../state/remembered';
import { useRememberForm } from './useRememberForm';

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
  const [index, setIndex] = useState(0);
  const open = openJob(document);
  const tests = handTestsOf(open, index);
  const [wanted, setWanted] = useState<string>();
  const [left, leave] = useRemembered('tests by hand', z.record(z.string(), z.number()), {});
  const { control, handleSubmit, setError, formState, subscribe } = useForm<Record<string, number>>({
    defaultValues: left,
  });
  const typed = useWatch({ control });
  useRememberForm(subscribe, (values) => leave(numbersOf(values)));
  const [bench, setBench] = useState<TestBench>({ painted: true, backOpen: false });
  const chosen = tests.find(({ test }) => test.name === wanted) ?? tests[0];
  if (!chosen) return <NoTests onClose={onClose} />;
  const { input, test } = chosen;
  const { name } = test;
  const key = (row: number, field: string) => `${name} ${row} ${field}`;
  const rows = Array.from({ length: test.rows }, (_, row) => row);
  const full = rows.flatMap((row) => {
    const values = test.fields.map((field) => [field.name, typed[key(row, field.name)]] as const);
    return values.every(([, value]) => value !== undefined)
      ? [Object.fromEntries(values) as Record<string, number>]
      : [];
  });
  const found = full.length > 0 ? test.settle(full, bench) : undefined;
  const keep = () => {
    if (!found) return;
    const source = `${name.toLowerCase()} test, ${format(new Date(), 'd MMMM yyyy')}`;
    const heater = open.panels[index]?.document.id ?? '';
    const { path, value } = withFound(document, heater, { input, value: found.value }, source);
    const outcome = change(path, value);
    if (outcome.ok) {
      leave({});
      onClose();
    } else setError('root', { message: outcome.message });
  };
  return (
    <Frame title="Tests by hand" wide onClose={onClose} onSubmit={handleSubmit(keep)}>
      <Dialog.Body>
        <Flex gap="6" wrap="wrap" mb="3">
          <Chips label="Which" value={name} choices={tests.map((one) => one.test.name)} onValue={setWanted} />
          {open.panels.length > 1 && (
            <Chips
              label="Panel"
              value={open.panels[index]?.document.id}
              choices={open.panels.map((one) => one.document.id)}
              onValue={(id) => setIndex(open.panels.findIndex((one) => one.document.id === id))}
            />
          )}
        </Flex>
        <Text mb="3">{test.how}</Text>
        {test.asksBench && (
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
            <FoundWords found={found} open={open} index={index} input={input} />
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

function FoundWords({ found, open, index, input }: { found: Settled; open: OpenJob; index: number; input: string }) {
  const settled = open.panels[index]?.design.thermal.inputs.find(({ id }) => id === input);
  if (!settled) return null;
  const { name, unit, digits } = settled;
  const write = (value: number) => formatNumber(value, value < 10 ? Math.max(1, digits) : digits);
  const { low, likely, high } = found.value;
  return (
    <>
      <Text fontFamily="heading" fontWeight="600" fontSize="20px">
        {name}: {write(likely)} {unit}
      </Text>
      <Text>
        nine in ten between {write(low)} and {write(high)}
        {found.words ? `; ${found.words}` : ''}
      </Text>
    </>
  );
}

/** For a heater of which nothing can be tested by hand. */
function NoTests({ onClose }: { onClose(): void }) {
  return (
    <Frame title="Tests by hand" onClose={onClose}>
      <Dialog.Body>
        <Text>Nothing of this heater is settled by a test by hand.</Text>
      </Dialog.Body>
      <Dialog.Footer>
        <Button onClick={onClose}>Done</Button>
      </Dialog.Footer>
    </Frame>
  );
}
