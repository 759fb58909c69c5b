import { Button, Dialog, Input, Text } from '@chakra-ui/react';
import { useMutation } from '@tanstack/react-query';
import { type FormEvent, useId, useState } from 'react';
import { Frame } from '../parts/Frame';
import { answered, api, queries } from '../state/api';
import type { CardAction, CardOf } from './card';

const asks = {
  copy: {
    title: 'Copy a job',
    words: 'The copy has the same design, prices and place. What was cut, ticked and measured stays with this one.',
    label: 'Name of the copy',
    button: 'Copy it',
  },
  rename: { title: 'Rename a job', words: 'Its address stays as it is.', label: 'Name', button: 'Rename it' },
  delete: {
    title: 'Delete a job for good',
    words: 'Its design, versions, shop log and readings go with it, and nobody can bring them back.',
    label: 'Type its name to delete it',
    button: 'Delete it for good',
  },
} as const;

/** Asks for the name that a copy or a job gets, or that of the one to be deleted. */
export function CardDialog({ job, action, onClose }: { job: CardOf; action: CardAction; onClose(): void }) {
  const { title, words, label, button } = asks[action];
  const id = useId();
  const [name, setName] = useState({ copy: `${job.name}, copy`, rename: job.name, delete: '' }[action]);
  const done = useMutation({
    mutationFn: async (): Promise<unknown> => {
      const param = { id: job.id };
      switch (action) {
        case 'copy':
          return answered(api.api.jobs[':id'].copies.$post({ param, json: { name } }));
        case 'rename':
          return answered(
            api.api.jobs[':id'].changes.$post({
              param,
              json: { base: job.version, changes: [{ path: ['name'], before: job.name, after: name.trim() }] },
            }),
          );
        case 'delete':
          return answered(api.api.jobs[':id'].$delete({ param, json: { name } }));
        default:
          return action satisfies never;
      }
    },
    onSuccess: async () => {
      await queries.invalidateQueries({ queryKey: ['jobs'] });
      onClose();
    },
  });
  const submit = (event: FormEvent) => {
    event.preventDefault();
    if (!done.isPending) done.mutate();
  };
  const empty = name.trim() === '' || (action === 'delete' && name.trim() !== job.name.trim());
  return (
    <Frame title={`${title}: ${job.name}`} onClose={onClose} onSubmit={submit}>
      <Dialog.Body>
        <Text mb="3">{words}</Text>
        <label htmlFor={id}>
          <Text as="span" fontSize="14px" color="soft">
            {label}
          </Text>
        </label>
        <Input
          id={id}
          bg="card"
          autoFocus
          maxLength={120}
          autoComplete="off"
          value={name}
          onChange={(event) => setName(event.currentTarget.value)}
        />
        {done.error && (
          <Text role="alert" color="brickText" mt="2">
            {done.error.message}
          </Text>
        )}
      </Dialog.Body>
      <Dialog.Footer flexWrap="wrap">
        <Button variant="outline" onClick={onClose}>
          Leave it
        </Button>
        <Button type="submit" variant="solid" disabled={empty || done.isPending}>
          {button}
        </Button>
      </Dialog.Footer>
    </Frame>
  );
}
