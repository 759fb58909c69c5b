import { Box, Input, Text } from '@chakra-ui/react';
import { useId, useState } from 'react';
import { Hinted } from './Hint';
import { showsJob } from './keys';

/** What was made of something typed: taken, or why not and at which character. */
export type Taken = { ok: true } | { ok: false; message: string; at?: number };

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
  const [typed, setTyped] = useState<string | undefined>(undefined);
  const [trouble, setTrouble] = useState<string | undefined>(undefined);
  const take = (field: HTMLInputElement) => {
    if (typed === undefined || typed === value) {
      setTyped(undefined);
      setTrouble(undefined);
      return;
    }
    const taken = onText(typed);
    if (taken.ok) {
      setTyped(undefined);
      setTrouble(undefined);
      return;
    }
    setTrouble(taken.message);
    if (taken.at !== undefined && window.document.activeElement === field)
      field.setSelectionRange(taken.at, typed.length);
  };
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
        {...showsJob(typed !== undefined && typed !== value)}
        maxLength={maxLength}
        placeholder={placeholder}
        value={typed ?? value}
        aria-invalid={trouble !== undefined}
        aria-describedby={trouble ? `${id}-trouble` : hint ? `${id}-hint` : undefined}
        onChange={(event) => setTyped(event.currentTarget.value)}
        onBlur={(event) => take(event.currentTarget)}
        onKeyDown={(event) => {
          if (event.key === 'Enter') take(event.currentTarget);
          if (event.key !== 'Escape') return;
          setTyped(undefined);
          setTrouble(undefined);
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
