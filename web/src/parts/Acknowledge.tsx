import { Box, Button, Flex, Input, Text } from '@chakra-ui/react';
import { format } from 'date-fns';
import { type FormEvent, useId, useState } from 'react';
import { record, useJob } from '../state/job';
import { TextButton } from './TextButton';

/** Fewest letters that say something. */
const least = 3;

/** Under a danger that stops the work: what its reader does about it, in writing, with the day; taken back as it was given. */
export function Acknowledge({ code, headline }: { code: string; headline: string }) {
  const id = useId();
  const given = useJob((state) => state.shop.acknowledged[code]);
  const [typed, setTyped] = useState('');
  const [trouble, setTrouble] = useState<string | undefined>(undefined);
  if (given)
    return (
      <Flex align="baseline" gap="3" wrap="wrap" mt="1" data-testid={`answered-${code}`}>
        <Text fontSize="14px" fontWeight="600" overflowWrap="anywhere">
          Answered for on {format(new Date(given.at), 'd MMM yyyy')}
          {given.words ? `: “${given.words}”` : ''}
        </Text>
        <TextButton
          fontSize="14px"
          aria-label={`Take back: ${headline}`}
          onClick={() => record([{ kind: 'acknowledged', caution: code, done: false }])}
        >
          take back
        </TextButton>
      </Flex>
    );
  const submit = (event: FormEvent) => {
    event.preventDefault();
    const words = typed.trim();
    if (words.length < least) return setTrouble('Write what you do about it, and your name.');
    record([{ kind: 'acknowledged', caution: code, done: true, words }]);
    setTyped('');
    setTrouble(undefined);
  };
  return (
    <Box as="form" onSubmit={submit} mt="2">
      <label htmlFor={id}>
        <Text as="span" fontSize="14px" color="soft">
          In writing: what you do about it, and your name
        </Text>
      </label>
      <Flex gap="2" wrap="wrap">
        <Input
          id={id}
          size="sm"
          bg="card"
          flex="1 1 180px"
          maxLength={200}
          autoComplete="off"
          value={typed}
          aria-invalid={trouble !== undefined}
          aria-describedby={trouble ? `${id}-trouble` : undefined}
          onChange={(event) => setTyped(event.currentTarget.value)}
        />
        <Button size="sm" variant="outline" type="submit" aria-label={`I answer for it: ${headline}`}>
          I answer for it
        </Button>
      </Flex>
      {trouble && (
        <Text id={`${id}-trouble`} role="alert" fontSize="13px" color="brickText" mt="1">
          {trouble}
        </Text>
      )}
    </Box>
  );
}
