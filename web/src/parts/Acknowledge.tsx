import { Box, Button, Flex, Input, Text } from '@chakra-ui/react';
import type { Finding } from '@north-pane/core/care';
import { answerFor, dangerAbout, lastAnswer } from '@north-pane/core/shoplog';
import { format } from 'date-fns';
import { type FormEvent, useId, useState } from 'react';
import { record, useJob } from '../state/job';
import { TextButton } from './TextButton';

/** Fewest letters that say something. */
const least = 3;

/**
 * Under a danger that stops the work: what its reader does about it, in writing, with the day; taken back as it was given. It holds for this
 * heater and for nothing worse: a worse design asks again, with what was written before beside it.
 */
export function Acknowledge({ danger, headline }: { danger: Finding; headline: string }) {
  const id = useId();
  const { code, measure } = danger;
  const about = dangerAbout(danger);
  const given = useJob((state) => answerFor(state.shop.acknowledged, danger));
  const before = useJob((state) => lastAnswer(state.shop.acknowledged, danger));
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
          onClick={() => record([{ kind: 'acknowledged', caution: code, about, done: false }])}
        >
          take back
        </TextButton>
      </Flex>
    );
  const submit = (event: FormEvent) => {
    event.preventDefault();
    const words = typed.trim();
    if (words.length < least) return setTrouble('Write what you do about it, and your name.');
    record([
      { kind: 'acknowledged', caution: code, about, done: true, words, ...(measure === undefined ? {} : { measure }) },
    ]);
    setTyped('');
    setTrouble(undefined);
  };
  return (
    <Box as="form" onSubmit={submit} mt="2">
      {before && (
        <Text fontSize="14px" mb="1" overflowWrap="anywhere">
          You answered for this on {format(new Date(before.at), 'd MMM yyyy')}
          {before.words ? `: “${before.words}”` : ''}. It is worse now, or nobody noted how bad it was then: answer for
          it again.
        </Text>
      )}
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
        <Button size="sm" variant="outline" type="submit" aria-label={`I take responsibility: ${headline}`}>
          I take responsibility
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
