import { Box, NativeSelect, Text } from '@chakra-ui/react';
import { useId } from 'react';

/** One of a few, by name. */
export function Choice<V extends string>(props: {
  label: string;
  value: V;
  choices: readonly { value: V; words: string }[];
  onValue(value: V): void;
  hint?: string;
}) {
  const id = useId();
  return (
    <Box title={props.hint}>
      <label htmlFor={id}>
        <Text as="span" fontSize="14px" color="soft">
          {props.label}
        </Text>
      </label>
      <NativeSelect.Root size="sm">
        <NativeSelect.Field
          id={id}
          bg="card"
          borderColor="line"
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
