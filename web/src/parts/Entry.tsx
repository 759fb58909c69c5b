import { Box, Input, Text } from '@chakra-ui/react';
import {
  formatQuantity,
  type Habit,
  type Parsed,
  parseNumber,
  parseQuantity,
  type QuantityKind,
} from '@north-pane/core/quantity';
import { type KeyboardEvent, useEffect, useId, useRef } from 'react';
import { showsJob } from './keys';
import { unseen } from './unseen';
import { type Taken, useTyped } from './useTyped';

interface EntryProps {
  label: string;
  /** SI; undefined shows an empty field. */
  value: number | undefined;
  kind: QuantityKind | 'number';
  habit: Habit;
  digits?: number;
  /** Takes the SI value; a message means that it was not taken, and why. */
  onValue(value: number): string | undefined;
  onDone?(): void;
  autoFocus?: boolean;
  /** The label is for readers of the page only. */
  bareLabel?: boolean;
  width?: string;
  size?: 'sm' | 'md' | 'lg';
  unitAfter?: string;
  /** Reads more ways of writing than the kind alone. */
  parse?(text: string, habit: Habit): Parsed;
}

/**
 * A quantity written as people write it. It is read on Enter or on leaving; what cannot be read stays as typed, with
 * the reason under it and the cursor at the character that is wrong.
 */
export function Entry(props: EntryProps) {
  const {
    label,
    value,
    kind,
    habit,
    digits,
    onValue,
    onDone,
    autoFocus,
    bareLabel,
    width = '100%',
    size = 'sm',
    unitAfter,
  } = props;
  const id = useId();
  const input = useRef<HTMLInputElement>(null);
  useEffect(() => {
    if (autoFocus) input.current?.focus();
  }, [autoFocus]);
  const shown = value === undefined ? '' : written(kind, value, habit, digits);
  const { text, trouble, open, type, take, drop } = useTyped(shown, (typed): Taken => {
    const parsed: Parsed = props.parse
      ? props.parse(typed, habit)
      : kind === 'number'
        ? parseNumber(typed)
        : parseQuantity(kind, typed, habit);
    if (!parsed.ok) return parsed;
    const message = onValue(parsed.value);
    return message ? { ok: false, message } : { ok: true };
  });
  const onKeyDown = (event: KeyboardEvent<HTMLInputElement>) => {
    if (event.key === 'Enter') {
      // In a form it takes the field, and does not send the form off.
      event.preventDefault();
      if (take(event.currentTarget)) onDone?.();
    }
    if (event.key === 'Escape') {
      drop();
      onDone?.();
    }
  };

  return (
    <Box width={width} position="relative">
      <label htmlFor={id} style={bareLabel ? unseen : undefined}>
        <Text as="span" fontSize="14px" color="soft">
          {label}
          {unitAfter ? `, ${unitAfter}` : ''}
        </Text>
      </label>
      <Input
        ref={input}
        id={id}
        size={size}
        bg="card"
        borderColor={trouble ? 'brick' : 'edge'}
        color="ink"
        autoComplete="off"
        {...showsJob(open)}
        inputMode="text"
        value={text}
        aria-invalid={trouble !== undefined}
        aria-describedby={trouble ? `${id}-trouble` : undefined}
        onFocus={(event) => event.currentTarget.select()}
        onChange={(event) => type(event.currentTarget.value)}
        onBlur={(event) => take(event.currentTarget)}
        onKeyDown={onKeyDown}
      />
      {trouble && (
        <Text id={`${id}-trouble`} role="alert" fontSize="13px" color="brickText" mt="1" bg="card">
          {trouble}
        </Text>
      )}
    </Box>
  );
}

function written(kind: EntryProps['kind'], value: number, habit: Habit, digits?: number): string {
  if (kind === 'number') return digits === undefined ? String(value) : value.toFixed(digits);
  return formatQuantity(kind, value, habit, digits).text.replaceAll(/[\u202f\u00a0]/g, ' ');
}
