import { Box, Button, Text } from '@chakra-ui/react';
import { type Editable, type Refit, refitDimension, sayBound, sayRefit } from '@north-pane/core/job';
import type { Habit } from '@north-pane/core/quantity';
import { useState } from 'react';
import { Entry } from '../../parts/Entry';
import { useReturnFocus } from '../../parts/useReturnFocus';
import { jobActions } from '../../state/job';
import { setDimension, setTyping } from './view';

/**
 * Where a dimension is typed. A size beyond its bounds is refused with its reason, and with the ways in which the rest of the panel could
 * follow it: each is one edit, and one undo takes it back.
 */
export function TypeIn({ panel, dimension, habit }: { panel: number; dimension: Editable; habit: Habit }) {
  useReturnFocus();
  const [offer, setOffer] = useState<Refit[] | undefined>(undefined);
  const take = (value: number): string | undefined => {
    const message = setDimension(panel, dimension, value, habit);
    const job = jobActions().document;
    const beyond = message !== undefined && sayBound(dimension, value, habit) !== undefined;
    setOffer(beyond && job ? refitDimension(job, panel, dimension, value, habit) : undefined);
    return message;
  };
  const fit = ({ changes }: Refit) => {
    if (jobActions().changeAll(changes).ok) setTyping(false);
  };
  return (
    <Box bg="card" borderWidth="2px" borderColor="pane" borderRadius="3px" p="3" boxShadow="md">
      <Entry
        label={dimension.label}
        value={dimension.value}
        kind="length"
        habit={habit}
        autoFocus
        size="md"
        onValue={take}
        onDone={() => setTyping(false)}
      />
      {offer?.map((one) => (
        <Box key={one.words.join()} mt="2">
          <Text fontSize="14px">{sayRefit(one)}</Text>
          <Button size="xs" variant="solid" mt="1" onClick={() => fit(one)}>
            Fit it so
          </Button>
        </Box>
      ))}
      {offer?.length === 0 && (
        <Text fontSize="14px" color="soft" mt="1">
          Nothing else on this panel gives it room.
        </Text>
      )}
    </Box>
  );
}
