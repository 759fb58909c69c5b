import { Box, Input, Text } from '@chakra-ui/react';
import {
  formatQuantity,
  type Habit,
  type Parsed,
  parseNumber,
  parseQuantity,
  type QuantityKind,
} from '@north-pane/core/quantity';
import { type KeyboardEvent, useEffect, useId, useRef, useState } from 'react';
import { showsJob } from './keys';
import { unseen } from './unseen';

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
  const [typed, setTyped] = useState<string | undefined>(undefined);
  const [trouble, setTrouble] = useState<string | undefined>(undefined);

  const take = (field: HTMLInputElement, finish: boolean) => {
    if (typed === undefined || typed === shown) {
      setTyped(undefined);
      setTrouble(undefined);
      if (finish) onDone?.();
      return;
    }
    const parsed: Parsed = props.parse
      ? props.parse(typed, habit)
      : kind === 'number'
        ? parseNumber(typed)
        : parseQuantity(kind, typed, habit);
    const message = parsed.ok ? onValue(parsed.value) : parsed.message;
    if (message) {
      setTrouble(message);
      if (!parsed.ok) field.setSelectionRange(parsed.at, typed.length);
      return;
    }
    setTyped(undefined);
    setTrouble(undefined);
    if (finish) onDone?.();
  };
  const onKeyDown = (event: KeyboardEvent<HTMLInputElement>) => {
    if (event.key === 'Enter') {
      // In a form it takes the field, and does not send the form off.
      event.preventDefault();
      take(event.currentTarget, true);
    }
    if (event.key === 'Escape') {
      setTyped(undefined);
      setTrouble(undefined);
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
        {...showsJob(typed !== undefined && typed !== shown)}
        inputMode="text"
        value={typed ?? shown}
        aria-invalid={trouble !== undefined}
        aria-describedby={trouble ? `${id}-trouble` : undefined}
        onFocus={(event) => event.currentTarget.select()}
        onChange={(event) => setTyped(event.currentTarget.value)}
        onBlur={(event) => take(event.currentTarget, false)}
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
