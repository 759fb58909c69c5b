import { Box, Button, Dialog, Flex, Grid, Input, NativeSelect, Text } from '@chakra-ui/react';
import { zodResolver } from '@hookform/resolvers/zod';
import { familyIds } from '@north-pane/core/document';
import { formatPlace, type Habit, parsePlace } from '@north-pane/core/quantity';
import { type BroadClimateId, broadClimateIds, broadClimates } from '@north-pane/core/sky';
import { useMutation } from '@tanstack/react-query';
import { lazy, type ReactNode, Suspense, useId } from 'react';
import { type UseFormReturn, useForm, useWatch } from 'react-hook-form';
import { useNavigate } from 'react-router';
import * as z from 'zod';
import { Chips } from '../parts/Chips';
import { Frame } from '../parts/Frame';
import { answered, api, queries } from '../state/api';
import { useView } from '../state/view';

const places = ['I know the place', 'somewhere like this'] as const;
const halves = ['north of the equator', 'south of it'] as const;

const form = z
  .object({
    name: z.string().trim().min(1, 'Give the job a name.').max(120, 'A name has at most 120 characters.'),
    units: z.enum(['metric', 'imperial']),
    currency: z.string().trim().min(1, 'Say what money is called here.').max(4, 'Four letters at most, as $ or NZ$.'),
    how: z.enum(places),
    place: z.string(),
    climate: z.enum(broadClimateIds),
    half: z.enum(halves),
    family: z.string(),
  })
  .superRefine(({ how, place }, context) => {
    if (how !== 'I know the place') return;
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

const Kinds = lazy(() => import('./Kinds').then(({ Kinds }) => ({ default: Kinds })));

/** The place of a filled form, as the server takes it. */
function whereOf({ how, place, climate, half }: Values) {
  if (how === 'somewhere like this')
    return { climate, half: half === halves[1] ? ('south' as const) : ('north' as const) };
  const read = parsePlace(place);
  if (!read.ok) return undefined;
  const { latitude, longitude } = read;
  return { latitude, longitude, zone: Intl.DateTimeFormat().resolvedOptions().timeZone };
}

/** Begins a job at a place, with a panel that can be built as it stands; everything is changed on the bench. */
export function NewJob({ onClose }: { onClose(): void }) {
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
      climate: 'maritime',
      half: halves[0],
      family: familyIds[0] ?? '',
    },
  });
  const { register, handleSubmit, formState, control, setValue } = fields;
  const { units, family } = useWatch({ control }) as Values;
  const begin = useMutation({
    mutationFn: (values: Values) => {
      const where = whereOf(values);
      const { name, currency } = values;
      return answered(
        api.api.jobs.$post({
          json: { name, units: values.units, family: values.family, currency, ...(where ? { where } : {}) },
        }),
      );
    },
    onSuccess: async ({ id }) => {
      await queries.invalidateQueries({ queryKey: ['jobs'] });
      await navigate(`/jobs/${id}/size`);
    },
  });
  const { errors } = formState;
  return (
    <Frame title="Begin a job" wide onClose={onClose} onSubmit={handleSubmit((values) => begin.mutate(values))}>
      <Dialog.Body>
        <Field label="What do you call it" trouble={errors.name?.message}>
          {(field) => <Input {...field} autoFocus placeholder="Wash-house roof" {...register('name')} />}
        </Field>
        <Grid templateColumns={{ base: '1fr', sm: '2fr 1fr' }} gap="3">
          <Field label="The shop’s tape">
            {(field) => (
              <NativeSelect.Root>
                <NativeSelect.Field {...field} {...register('units')}>
                  <option value="metric">millimetres, metric stock</option>
                  <option value="imperial">feet and inches, imperial stock</option>
                </NativeSelect.Field>
                <NativeSelect.Indicator />
              </NativeSelect.Root>
            )}
          </Field>
          <Field label="Money is called" trouble={errors.currency?.message}>
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
        <Where fields={fields} />
        <Text mt="4" mb="2">
          What it begins as; every size can be changed on the bench, the kind too
        </Text>
        <Suspense fallback={<Text color="soft">Drawing them…</Text>}>
          <Kinds units={units as Habit} chosen={family} onChoose={(chosen) => setValue('family', chosen)} />
        </Suspense>
      </Dialog.Body>
      <Dialog.Footer flexWrap="wrap">
        {begin.isError && (
          <Text role="alert" color="brickText" flex="1 1 200px">
            {begin.error.message}
          </Text>
        )}
        <Flex gap="2">
          <Button variant="outline" type="button" onClick={onClose}>
            Not now
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
  const known = how === 'I know the place';
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
          <Field
            label="Latitude, longitude"
            trouble={formState.errors.place?.message}
            hint={
              read.ok
                ? `Read as ${formatPlace(read.latitude, read.longitude)}.`
                : 'As a map or a phone gives it: 52.3 N, 1.9 W; -40.9, 172.9; 36°36′N 105°48′W.'
            }
          >
            {(field) => <Input {...field} autoComplete="off" placeholder="52.3 N, 1.9 W" {...register('place')} />}
          </Field>
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
