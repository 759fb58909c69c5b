// The library changes what it gives in place: the compiler may not keep it.
'use no memo';

import { Box, Button, Dialog, Flex, Grid, Input, NativeSelect, Text } from '@chakra-ui/react';
import { zodResolver } from '@hookform/resolvers/zod';
import { isWarmWater, jobSchema, needSchema, warmWaterWords } from '@north-pane/core/document';
import { families } from '@north-pane/core/families';
import { fieldMeta } from '@north-pane/core/field';
import { formatPlace, type Habit, parsePlace, parseQuantity } from '@north-pane/core/quantity';
import { type BroadClimateId, broadClimateIds, broadClimates } from '@north-pane/core/sky';
import { useMutation } from '@tanstack/react-query';
import { type ReactNode, useId } from 'react';
import { type UseFormReturn, useForm, useWatch } from 'react-hook-form';
import { useNavigate } from 'react-router';
import * as z from 'zod';
import { Chips } from '../parts/Chips';
import { Frame } from '../parts/Frame';
import { TickBox } from '../parts/TickBox';
import { TownSearch } from '../parts/TownSearch';
import { answered, api, queries } from '../state/api';
import { useView } from '../state/view';

const places = ['I have a town or coordinates', 'Choose a climate'] as const;
const halves = ['Northern hemisphere', 'Southern hemisphere'] as const;

const form = z
  .object({
    name: z.string().trim().min(1, 'Give the job a name.').max(120, 'A name has at most 120 characters.'),
    units: jobSchema.shape.units,
    currency: z.string().trim().min(1, 'Say what money is called here.').max(4, 'Four letters at most, as $ or NZ$.'),
    how: z.enum(places),
    place: z.string(),
    /** The clock of a town that was found; of the device where it is empty. */
    zone: z.string(),
    climate: z.enum(broadClimateIds),
    half: z.enum(halves),
    family: z.string(),
    use: needSchema.shape.kind,
    volume: z.string(),
    area: z.string(),
    depth: z.string(),
    target: z.string(),
    drinking: z.boolean(),
  })
  .superRefine(({ how, place, use, volume, area, depth, target, units }, context) => {
    const complain = (path: string, message: string) => context.addIssue({ code: 'custom', path: [path], message });
    const water = parseQuantity('volume', volume, units);
    if (use === 'pool') {
      for (const [name, kind, text, most] of [
        ['area', 'area', area, 2000],
        ['depth', 'height', depth, 5],
      ] as const) {
        const read = parseQuantity(kind, text, units);
        if (!read.ok) complain(name, read.message);
        else if (read.value <= 0 || read.value > most) complain(name, 'More than nothing, and no lake.');
      }
    } else if (!water.ok) complain('volume', water.message);
    else if (water.value <= 0 || water.value > 100) complain('volume', 'More than nothing, and at most 100 m³ a day.');
    const heat = parseQuantity('temperature', target, units);
    if (!heat.ok) complain('target', heat.message);
    else if (!isWarmWater(heat.value)) complain('target', warmWaterWords(units));
    if (how !== 'I have a town or coordinates') return;
    const read = parsePlace(place);
    if (!read.ok)
      context.addIssue({
        code: 'custom',
        path: ['place'],
        message:
          place.trim() === ''
            ? 'Type latitude and longitude, paste them from a map, or take somewhere like it.'
            : read.message,
      });
  });
type Values = z.infer<typeof form>;

const kinds = Object.values(families).map(({ id, name, meaning }) => ({ id, name, meaning }));

/** A household's showers, in the reader's unit. */
const usualNeed = {
  metric: { volume: '150 L', target: '45 °C', pool: '28 °C', area: '32 m²', depth: '1.4 m' },
  imperial: { volume: '40 gal', target: '115 °F', pool: '82 °F', area: '340 ft²', depth: '4.5 ft' },
} as const;

/** The need of a filled form, as the server takes it. */
function needOf({ use, volume, area, depth, target, drinking, units }: Values) {
  const [water, heat] = [parseQuantity('volume', volume, units), parseQuantity('temperature', target, units)];
  if (!heat.ok) return undefined;
  const [wide, deep] = [parseQuantity('area', area, units), parseQuantity('height', depth, units)];
  const pool = use === 'pool' && wide.ok && deep.ok ? { area: wide.value, depth: deep.value } : undefined;
  if (!pool && !water.ok) return undefined;
  // What a pool takes a day follows from its size.
  const volumePerDay = !pool && water.ok ? water.value : 1;
  return { kind: use, volumePerDay, target: heat.value, drinking, ...(pool ? { pool } : {}) };
}

/** The place of a filled form, as the server takes it. */
function whereOf({ how, place, zone, climate, half }: Values) {
  if (how === 'Choose a climate')
    return { climate, half: half === halves[1] ? ('south' as const) : ('north' as const) };
  const read = parsePlace(place);
  if (!read.ok) return undefined;
  const { latitude, longitude } = read;
  return { latitude, longitude, zone: zone || Intl.DateTimeFormat().resolvedOptions().timeZone };
}

/** The choices of a field, in its own words. */
function Options({ of }: { of: Parameters<typeof fieldMeta>[0] }) {
  return fieldMeta(of)?.choices?.map(({ value, words }) => (
    <option key={value} value={value}>
      {words}
    </option>
  ));
}

/**
 * Begins a job: what it is called, the tape, the place and the need; which kind of heater it becomes is settled on Pick. One that stands already
 * is of a kind, and goes straight to its sizes.
 */
export function NewJob({ built = false, onClose }: { built?: boolean; onClose(): void }) {
  const navigate = useNavigate();
  const habit = useView((view) => view.habit);
  const fields = useForm<Values>({
    resolver: zodResolver(form),
    defaultValues: {
      name: '',
      units: habit ?? 'metric',
      currency: '$',
      how: places[0],
      place: '',
      zone: '',
      climate: 'maritime',
      half: halves[0],
      family: kinds[0]?.id ?? '',
      use: 'showers',
      volume: usualNeed[habit ?? 'metric'].volume,
      area: usualNeed[habit ?? 'metric'].area,
      depth: usualNeed[habit ?? 'metric'].depth,
      target: usualNeed[habit ?? 'metric'].target,
      drinking: false,
    },
  });
  const { register, handleSubmit, formState, control, setValue, getValues } = fields;
  const drinking = useWatch({ control, name: 'drinking' });
  const pool = useWatch({ control, name: 'use' }) === 'pool';
  const family = useWatch({ control, name: 'family' });
  const begin = useMutation({
    mutationFn: (values: Values) => {
      const where = whereOf(values);
      const need = needOf(values);
      const { name, currency, family } = values;
      return answered(
        api.api.jobs.$post({
          json: {
            name,
            units: values.units,
            currency,
            ...(built ? { family } : {}),
            ...(where ? { where } : {}),
            ...(need ? { need } : {}),
          },
        }),
      );
    },
    onSuccess: async ({ id }) => {
      await queries.invalidateQueries({ queryKey: ['jobs'] });
      await (built ? navigate(`/jobs/${id}/size`, { state: { built: true } }) : navigate(`/jobs/${id}/pick`));
    },
  });
  const { errors, dirtyFields } = formState;
  /** What nobody has typed yet stands in the unit of the tape. */
  const usualIn = (tape: Habit) => {
    for (const name of ['volume', 'area', 'depth'] as const)
      if (!dirtyFields[name]) setValue(name, usualNeed[tape][name]);
    if (!dirtyFields.target) setValue('target', usualNeed[tape][getValues('use') === 'pool' ? 'pool' : 'target']);
  };
  return (
    <Frame
      title={built ? 'A heater that stands already' : 'Begin a job'}
      wide
      onClose={onClose}
      onSubmit={handleSubmit((values) => begin.mutate(values))}
    >
      <Dialog.Body>
        <Field label="Project name" trouble={errors.name?.message}>
          {(field) => <Input {...field} autoFocus placeholder="Wash-house roof" {...register('name')} />}
        </Field>
        <Grid templateColumns={{ base: '1fr', sm: '2fr 1fr' }} gap="3">
          <Field label="Units and stock">
            {(field) => (
              <NativeSelect.Root>
                <NativeSelect.Field {...field} {...register('units', { onChange: () => usualIn(getValues('units')) })}>
                  <Options of={jobSchema.shape.units} />
                </NativeSelect.Field>
                <NativeSelect.Indicator />
              </NativeSelect.Root>
            )}
          </Field>
          <Field label="Currency" trouble={errors.currency?.message}>
            {(field) => (
              <>
                <Input {...field} list="currencies" autoComplete="off" {...register('currency')} />
                <datalist id="currencies">
                  {['$', '€', '£', 'NZ$', 'A$', 'C$', 'kr', 'R'].map((money) => (
                    <option key={money} value={money} />
                  ))}
                </datalist>
              </>
            )}
          </Field>
        </Grid>
        {built && (
          <Field label="What kind it is" hint={kinds.find(({ id }) => id === family)?.meaning ?? ''}>
            {(field) => (
              <NativeSelect.Root>
                <NativeSelect.Field {...field} {...register('family')}>
                  {kinds.map(({ id, name }) => (
                    <option key={id} value={id}>
                      {name}
                    </option>
                  ))}
                </NativeSelect.Field>
                <NativeSelect.Indicator />
              </NativeSelect.Root>
            )}
          </Field>
        )}
        <Where fields={fields} />
        <Box as="fieldset" mt="1" border="0">
          <Grid templateColumns={{ base: '1fr', sm: '1fr 1fr 1fr' }} gap="3">
            <Field label="Water for">
              {(field) => (
                <NativeSelect.Root>
                  <NativeSelect.Field {...field} {...register('use', { onChange: () => usualIn(getValues('units')) })}>
                    <Options of={needSchema.shape.kind} />
                  </NativeSelect.Field>
                  <NativeSelect.Indicator />
                </NativeSelect.Root>
              )}
            </Field>
            {pool ? (
              <Grid templateColumns="1fr 1fr" gap="2">
                <Field label="Pool area" trouble={errors.area?.message}>
                  {(field) => <Input {...field} autoComplete="off" {...register('area')} />}
                </Field>
                <Field label="Depth" trouble={errors.depth?.message}>
                  {(field) => <Input {...field} autoComplete="off" {...register('depth')} />}
                </Field>
              </Grid>
            ) : (
              <Field label="How much a day" trouble={errors.volume?.message}>
                {(field) => <Input {...field} autoComplete="off" {...register('volume')} />}
              </Field>
            )}
            <Field label="How hot" trouble={errors.target?.message}>
              {(field) => <Input {...field} autoComplete="off" {...register('target')} />}
            </Field>
          </Grid>
          <Flex align="center" gap="2">
            <TickBox
              ticked={drinking ?? false}
              label="Used for drinking"
              onTick={() => setValue('drinking', !getValues('drinking'))}
            />
            <Text aria-hidden>Used for drinking</Text>
          </Flex>
        </Box>
        <Text mt="4" color="soft">
          {built
            ? 'Next: its sizes, as they are. Then the first reading.'
            : 'Next: every kind of heater side by side, each as it would be there for that water.'}
        </Text>
      </Dialog.Body>
      <Dialog.Footer flexWrap="wrap">
        {begin.isError && (
          <Text role="alert" color="brickText" flex="1 1 200px">
            {begin.error.message}
          </Text>
        )}
        <Flex gap="2">
          <Button variant="outline" type="button" onClick={onClose}>
            Cancel
          </Button>
          <Button variant="solid" type="submit" disabled={begin.isPending}>
            Begin
          </Button>
        </Flex>
      </Dialog.Footer>
    </Frame>
  );
}

/** The place in any form, or a climate like it: sun, cold and tilt come of it. */
function Where({ fields }: { fields: UseFormReturn<Values> }) {
  const { register, formState, control, setValue } = fields;
  const { how, place, half, climate } = useWatch({ control }) as Values;
  const read = parsePlace(place ?? '');
  const known = how === 'I have a town or coordinates';
  return (
    <Box as="fieldset" mt="1" border="0">
      <Chips<Values['how']>
        label="Where it stands"
        value={how}
        choices={places}
        onValue={(value) => setValue('how', value)}
      />
      <Box mt="2">
        {known ? (
          <>
            <TownSearch
              onPlace={({ latitude, longitude, zone }) => {
                setValue('place', formatPlace(latitude, longitude), { shouldValidate: true });
                setValue('zone', zone ?? '');
              }}
            />
            <Field
              label="Latitude, longitude"
              trouble={formState.errors.place?.message}
              hint={
                read.ok
                  ? `Read as ${formatPlace(read.latitude, read.longitude)}.`
                  : 'As a map or a phone gives it: 52.3 N, 1.9 W; -40.9, 172.9; 36°36′N 105°48′W.'
              }
            >
              {(field) => (
                <Input
                  {...field}
                  autoComplete="off"
                  placeholder="52.3 N, 1.9 W"
                  {...register('place', { onChange: () => setValue('zone', '') })}
                />
              )}
            </Field>
          </>
        ) : (
          <Grid templateColumns={{ base: '1fr', sm: '2fr 1fr' }} gap="3">
            <Field
              label="The weather there"
              hint={`Reckoned at ${broadClimates[climate as BroadClimateId].latitude}° of latitude, until the place is named.`}
            >
              {(field) => (
                <NativeSelect.Root>
                  <NativeSelect.Field {...field} {...register('climate')}>
                    {broadClimateIds.map((id) => (
                      <option key={id} value={id}>
                        {broadClimates[id].name}: {broadClimates[id].like}
                      </option>
                    ))}
                  </NativeSelect.Field>
                  <NativeSelect.Indicator />
                </NativeSelect.Root>
              )}
            </Field>
            <Chips<Values['half']>
              label="It lies"
              value={half}
              choices={halves}
              onValue={(value) => setValue('half', value)}
            />
          </Grid>
        )}
      </Box>
    </Box>
  );
}

/** A labelled field of the form with its trouble, or else its hint, under it. */
function Field(props: {
  label: string;
  trouble?: string | undefined;
  hint?: string;
  children(field: { id: string; mt: string; 'aria-invalid': boolean; 'aria-describedby': string }): ReactNode;
}) {
  const { label, trouble, hint, children } = props;
  const id = useId();
  return (
    <Box>
      <label htmlFor={id}>{label}</label>
      {children({ id, mt: '1', 'aria-invalid': trouble !== undefined, 'aria-describedby': `${id}-under` })}
      <Box id={`${id}-under`} minH="24px" fontSize="14px">
        {trouble ? (
          <Text role="alert" color="brickText">
            {trouble}
          </Text>
        ) : (
          <Text color="soft">{hint}</Text>
        )}
      </Box>
    </Box>
  );
}
