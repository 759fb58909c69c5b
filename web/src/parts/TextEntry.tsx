import { Box, Input, Text } from '@chakra-ui/react';
import { useId } from 'react';
import { Hinted } from './Hint';
import { showsJob } from './keys';
import { type Taken, useTyped } from './useTyped';

/**
 * Words, or something that is read from words. Read on Enter or on leaving; what cannot be taken stays as typed, with the
 * reason under it.
 */
export function TextEntry(props: {
  label: string;
  value: string;
  onText(text: string): Taken;
  hint?: string;
  placeholder?: string;
  maxLength?: number;
}) {
  const { label, value, onText, hint, placeholder, maxLength } = props;
  const id = useId();
  const { text, trouble, open, type, take, drop } = useTyped(value, onText);
  return (
    <Box width="100%" position="relative">
      <Hinted id={`${id}-hint`} words={label} hint={hint}>
        <label htmlFor={id}>
          <Text as="span" fontSize="14px" color="soft">
            {label}
          </Text>
        </label>
      </Hinted>
      <Input
        id={id}
        size="sm"
        bg="card"
        borderColor={trouble ? 'brick' : 'edge'}
        color="ink"
        autoComplete="off"
        {...showsJob(open)}
        maxLength={maxLength}
        placeholder={placeholder}
        value={text}
        aria-invalid={trouble !== undefined}
        aria-describedby={trouble ? `${id}-trouble` : hint ? `${id}-hint` : undefined}
        onChange={(event) => type(event.currentTarget.value)}
        onBlur={(event) => take(event.currentTarget)}
        onKeyDown={(event) => {
          if (event.key === 'Enter') take(event.currentTarget);
          if (event.key === 'Escape') drop();
        }}
      />
      {trouble && (
        <Text id={`${id}-trouble`} role="alert" fontSize="13px" color="brickText" mt="1" bg="card">
          {trouble}
        </Text>
      )}
    </Box>
  );
}
