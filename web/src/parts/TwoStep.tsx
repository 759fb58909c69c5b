import { Button, Flex, Text } from '@chakra-ui/react';
import { useState } from 'react';

/** A button for what cannot be taken back: the first press asks, the second does it. */
export function TwoStep(props: {
  /** On the button. */
  words: string;
  /** What it is done to, for readers of the page. */
  of: string;
  ask: string;
  disabled?: boolean;
  onDo(): void;
}) {
  const { words, of, ask, disabled, onDo } = props;
  const [asking, setAsking] = useState(false);
  if (!asking)
    return (
      <Button
        size="xs"
        variant="outline"
        aria-label={`${words}: ${of}`}
        disabled={disabled}
        onClick={() => setAsking(true)}
      >
        {words}
      </Button>
    );
  return (
    <Flex align="center" gap="2" wrap="wrap" justify="flex-end" role="group" aria-label={`${words}: ${of}`}>
      <Text fontSize="14px">{ask}</Text>
      <Button
        size="xs"
        variant="outline"
        autoFocus
        borderColor="brick"
        color="brickText"
        onClick={() => {
          setAsking(false);
          onDo();
        }}
      >
        {words} for good
      </Button>
      <Button size="xs" variant="outline" onClick={() => setAsking(false)}>
        Leave it
      </Button>
    </Flex>
  );
}
