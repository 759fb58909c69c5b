import { Box, NativeSelect, Text } from '@chakra-ui/react';
import { useId } from 'react';
import { Hinted } from './Hint';

/** One of a few, by name. */
export function Choice<V extends string>(props: {
  label: string;
  value: V;
  choices: readonly { value: V; words: string }[];
  onValue(value: V): void;
  hint?: string;
}) {
  const id = useId();
  const { hint } = props;
  return (
    <Box position="relative">
      <Hinted id={`${id}-hint`} words={props.label} hint={hint}>
        <label htmlFor={id}>
          <Text as="span" fontSize="14px" color="soft">
            {props.label}
          </Text>
        </label>
      </Hinted>
      <NativeSelect.Root size="sm">
        <NativeSelect.Field
          id={id}
          aria-describedby={hint ? `${id}-hint` : undefined}
          value={props.value}
          onChange={(event) => props.onValue(event.currentTarget.value as V)}
        >
          {props.choices.map(({ value, words }) => (
            <option key={value} value={value}>
              {words}
            </option>
          ))}
        </NativeSelect.Field>
        <NativeSelect.Indicator />
      </NativeSelect.Root>
    </Box>
  );
}
