import { Flex, Text } from '@chakra-ui/react';
import { useMutation } from '@tanstack/react-query';
import { lazy, Suspense, useState } from 'react';
import { TextButton } from '../parts/TextButton';
import { answered, api, queries } from '../state/api';
import type { CardAction, CardOf } from './card';

const CardDialog = lazy(() => import('./CardDialog').then(({ CardDialog: made }) => ({ default: made })));

/** What can be done with a job from the shelf: copied, renamed, put away and fetched back; deleted only from among what is put away. */
export function CardMenu({ job }: { job: CardOf }) {
  const [asking, setAsking] = useState<CardAction | undefined>(undefined);
  const move = useMutation({
    mutationFn: () => answered(api.api.jobs[':id'].away.$post({ param: { id: job.id }, json: { away: !job.putAway } })),
    onSuccess: () => queries.invalidateQueries({ queryKey: ['jobs'] }),
  });
  const act = (action: CardAction, words: string) => (
    <TextButton fontSize="14px" aria-label={`${words}: ${job.name}`} onClick={() => setAsking(action)}>
      {words}
    </TextButton>
  );
  return (
    <Flex gap="4" wrap="wrap" align="center" className="no-print">
      {!job.unreadable && act('copy', 'Copy')}
      {!job.unreadable && act('rename', 'Rename')}
      <TextButton
        fontSize="14px"
        aria-label={`${job.putAway ? 'Bring back' : 'Archive'}: ${job.name}`}
        disabled={move.isPending}
        onClick={() => move.mutate()}
      >
        {job.putAway ? 'Bring back' : 'Archive'}
      </TextButton>
      {job.putAway && act('delete', 'Delete for good')}
      {move.error && (
        <Text role="alert" fontSize="14px" color="brickText">
          {move.error.message}
        </Text>
      )}
      {asking && (
        <Suspense fallback={null}>
          <CardDialog job={job} action={asking} onClose={() => setAsking(undefined)} />
        </Suspense>
      )}
    </Flex>
  );
}
