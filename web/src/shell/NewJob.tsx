import { Box, Button, Dialog, Flex, Input, NativeSelect, Text } from '@chakra-ui/react';
import { zodResolver } from '@hookform/resolvers/zod';
import { useMutation } from '@tanstack/react-query';
import { lazy, Suspense } from 'react';
import { useForm } from 'react-hook-form';
import { useNavigate } from 'react-router';
import * as z from 'zod';
import { Frame } from '../parts/Frame';
import { answered, api, queries } from '../state/api';
import { useView } from '../state/view';

const form = z.object({
  name: z.string().trim().min(1, 'Give the job a name.').max(120, 'A name has at most 120 characters.'),
  units: z.enum(['metric', 'imperial']),
  /** Left out until the line-up has come: the server begins with the first kind of the registry, as the line-up shows. */
  family: z.string().optional(),
});

const Kinds = lazy(() => import('./Kinds').then(({ Kinds }) => ({ default: Kinds })));

/** Begins a job with a panel that can be built as it stands; everything is changed on the bench. */
export function NewJob({ onClose }: { onClose(): void }) {
  const navigate = useNavigate();
  const habit = useView((view) => view.habit);
  const { register, handleSubmit, formState, watch, setValue } = useForm({
    resolver: zodResolver(form),
    defaultValues: { name: '', units: habit ?? 'metric' },
  });
  const begin = useMutation({
    mutationFn: (values: z.infer<typeof form>) => answered(api.api.jobs.$post({ json: values })),
    onSuccess: async ({ id }) => {
      await queries.invalidateQueries({ queryKey: ['jobs'] });
      await navigate(`/jobs/${id}/size`);
    },
  });
  return (
    <Frame title="Begin a job" wide onClose={onClose}>
      <form onSubmit={handleSubmit((values) => begin.mutate(values))} noValidate>
        <Dialog.Body>
          <label htmlFor="job-name">What do you call it</label>
          <Input
            id="job-name"
            mt="1"
            autoFocus
            placeholder="Wash-house roof"
            aria-invalid={!!formState.errors.name}
            {...register('name')}
          />
          <Box minH="24px" role="alert">
            {formState.errors.name && <Text color="brickText">{formState.errors.name.message}</Text>}
            {begin.isError && <Text color="brickText">{begin.error.message}</Text>}
          </Box>
          <label htmlFor="job-units">The shop’s tape</label>
          <NativeSelect.Root mt="1">
            <NativeSelect.Field id="job-units" {...register('units')}>
              <option value="metric">millimetres, metric stock</option>
              <option value="imperial">feet and inches, imperial stock</option>
            </NativeSelect.Field>
            <NativeSelect.Indicator />
          </NativeSelect.Root>
          <Text mt="4" mb="2">
            What it begins as; every size is yours to change on the bench, the kind too
          </Text>
          <Suspense fallback={<Text color="soft">Drawing them…</Text>}>
            <Kinds units={watch('units')} chosen={watch('family')} onChoose={(family) => setValue('family', family)} />
          </Suspense>
        </Dialog.Body>
        <Dialog.Footer>
          <Flex gap="2">
            <Button variant="outline" type="button" onClick={onClose}>
              Not now
            </Button>
            <Button variant="solid" type="submit" disabled={begin.isPending}>
              Begin
            </Button>
          </Flex>
        </Dialog.Footer>
      </form>
    </Frame>
  );
}
