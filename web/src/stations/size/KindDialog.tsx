import { Button, Dialog, Flex, Text } from '@chakra-ui/react';
import { heatersOf, type Job } from '@north-pane/core/document';
import { changeKind, type HeaterDocument } from '@north-pane/core/families';
import { useState } from 'react';
import { Frame } from '../../parts/Frame';
import { LineUp } from '../../parts/LineUp';
import { useHabit } from '../../state/habit';
import { useDocument, useJob } from '../../state/job';

/** Another kind of heater for a panel: what comes along, what does not, and what it would come to here. */
export function KindDialog({ index, onClose }: { index: number; onClose(): void }) {
  const habit = useHabit();
  const document = useDocument();
  const change = useJob((state) => state.change);
  const panel = heatersOf(document)[index] as HeaterDocument;
  const [chosen, setChosen] = useState(panel.family);
  const [trouble, setTrouble] = useState<string | undefined>(undefined);
  const made = (family: string) =>
    family === panel.family ? { panel, kept: [], left: [] } : changeKind(panel, family, document.units);
  const jobOf = (family: string): Job => ({
    ...document,
    heaters: { ...document.heaters, [panel.id]: entryOf(made(family).panel, document, panel.id) },
  });
  const { panel: next, kept, left } = made(chosen);
  const take = () => {
    const outcome = change(['heaters', panel.id], entryOf(next, document, panel.id));
    if (outcome.ok) onClose();
    else setTrouble(outcome.message);
  };
  return (
    <Frame title="Another kind of heater" wide onClose={onClose}>
      <Dialog.Body>
        <Text mb="3">Each as it would stand here, round the same pane.</Text>
        <LineUp chosen={chosen} habit={habit} jobOf={jobOf} onChoose={setChosen} />
        {chosen !== panel.family && (
          <>
            <Text mt="3">
              <b>Comes along:</b> {kept.join(', ')}.
            </Text>
            <Text>
              <b>Stays behind:</b> {left.length > 0 ? left.join(', ') : 'nothing'}. One undo brings it back.
            </Text>
          </>
        )}
        {trouble && (
          <Text role="alert" color="brickText" mt="2">
            {trouble}
          </Text>
        )}
      </Dialog.Body>
      <Dialog.Footer>
        <Flex gap="3">
          <Button variant="outline" onClick={onClose}>
            Keep it
          </Button>
          <Button disabled={chosen === panel.family} onClick={take}>
            Make it that kind
          </Button>
        </Flex>
      </Dialog.Footer>
    </Frame>
  );
}

/** A heater as the document has it: by its id, at the place where it stood. */
function entryOf({ id: _, ...heater }: HeaterDocument, { heaters }: Job, id: string): Job['heaters'][string] {
  return { ...heater, order: heaters[id]?.order ?? 0 };
}
