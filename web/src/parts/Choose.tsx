import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { describeChange } from '@north-pane/core/document';
import { useHabit } from '../state/habit';
import { useDocument, useJob } from '../state/job';
import type { Contested } from '../state/sync/state';

/** Where a field stands on a station: asks which value it shall have, once two hands have changed it. */
export function ChooseAt({ path }: { path: readonly (string | number)[] }) {
  const key = path.join('/');
  const field = useJob((state) => state.sync?.contested.find((one) => one.path.join('/') === key));
  if (!field) return null;
  return (
    <Box role="group" aria-label="Which value stands" bg="card" borderLeftWidth="5px" borderColor="ochre" px="2" mt="1">
      <Choose field={field} />
    </Box>
  );
}

/** A field that was changed in two places: both values, whose they are, and the choice. */
export function Choose({ field }: { field: Contested }) {
  const habit = useHabit();
  const document = useDocument();
  const give = useJob((state) => state.give);
  const { path, yours, theirs, why } = field;
  const said = describeChange(document, { path, before: yours, after: theirs }, habit);
  const settle = (choice: 'yours' | 'theirs') => () => give({ kind: 'settle', path, choice });
  return (
    <Flex align="center" gap="3" rowGap="1" wrap="wrap" py="1">
      <Text flex="1 1 260px">
        <b>{said.name}</b>
        {why
          ? `: yours, ${said.before}, was not taken: ${why}. It stands at ${said.after}.`
          : ` was changed by another hand too: yours ${said.before}, theirs ${said.after}.`}
      </Text>
      <Flex gap="2">
        <Button size="sm" variant="outline" onClick={settle('theirs')}>
          {why ? 'Leave it' : 'Take theirs'}: {said.after}
        </Button>
        <Button size="sm" variant="solid" onClick={settle('yours')}>
          Keep mine: {said.before}
        </Button>
      </Flex>
    </Flex>
  );
}
