import { Box, Button, Dialog, Text } from '@chakra-ui/react';
import { Keyboard } from 'lucide-react';
import { create } from 'zustand';
import { Frame } from '../parts/Frame';
import { useSingleKeys } from '../parts/keys';
import { SlateButton } from '../parts/SlateButton';
import { TickBox } from '../parts/TickBox';
import { useView } from '../state/view';
import { stations } from './stations';

type Row = readonly [keys: string, what: string];

interface Shown {
  /** What the thing that has the focus takes, with its name; nothing where it takes no keys of its own. */
  focused: { name: string; rows: Row[] } | undefined;
}

export const useShown = create<{ shown: Shown | undefined }>()(() => ({ shown: undefined }));

/** Shows the list, with the keys of whatever has the focus first. */
export function showKeys(): void {
  const holder = document.activeElement?.closest('[data-takes]');
  const rows = holder
    ?.getAttribute('data-takes')
    ?.split('|')
    .map((line): Row => {
      const [keys = '', what = ''] = line.split(':');
      return [keys.trim(), what.trim()];
    });
  const name = holder?.getAttribute('aria-label') ?? 'What has the focus';
  useShown.setState({ shown: { focused: rows && { name, rows } } });
}

const everywhere: Row[] = [
  ['u', 'flip units'],
  ['?', 'this list, with the keys of what has the focus'],
  ['Tab, Shift Tab', 'to the next thing that can be pressed or filled, and back'],
  ['Enter, Space', 'press it'],
  ['Escape', 'leave a field as it was; close a dialog'],
];

const inJob: Row[] = [
  [stations.map((one) => one.number).join(' '), 'go to a station'],
  [', and .', 'nudge the chosen dimension by one tape mark; with Shift by ten'],
  ['Ctrl Z', 'undo (on a Mac Cmd instead of Ctrl, here and below)'],
  ['Shift Ctrl Z, Ctrl Y', 'redo'],
  ['Ctrl P', 'print this station, once all of it is worked out'],
  ['k', 'save a version'],
];

/** Every key that does something, and the switch for single keys. `?` brings it up; so does its button. */
export function KeysDialog({ job }: { job: boolean }) {
  const shown = useShown((state) => state.shown);
  const singleKeys = useView((view) => view.singleKeys);
  const setSingleKeys = useView((view) => view.setSingleKeys);
  useSingleKeys('?', showKeys);
  if (!shown) return null;
  const close = () => useShown.setState({ shown: undefined });
  const { focused } = shown;
  return (
    <Frame title="Keys" onClose={close}>
      <Dialog.Body>
        {focused && <Rows title={focused.name} rows={focused.rows} />}
        {job && <Rows title="In a job" rows={inJob} />}
        <Rows title="Everywhere" rows={everywhere} />
        <Box display="flex" alignItems="center" gap="3">
          <TickBox
            ticked={singleKeys}
            label="Single keys work without Ctrl"
            onTick={() => setSingleKeys(!singleKeys)}
          />
          <Text>Single keys work without Ctrl. Take the tick off if they get in the way.</Text>
        </Box>
      </Dialog.Body>
      <Dialog.Footer>
        <Button variant="outline" onClick={close}>
          Back
        </Button>
      </Dialog.Footer>
    </Frame>
  );
}

function Rows({ title, rows }: { title: string; rows: readonly Row[] }) {
  return (
    <Box as="section" aria-label={title} mb="4">
      <Text fontSize="14px" color="soft" mb="1">
        {title}
      </Text>
      <Box as="dl" display="grid" gridTemplateColumns="minmax(110px, auto) 1fr" columnGap="4">
        {rows.map(([keys, what]) => (
          <Box key={keys} display="contents">
            <Box as="dt" fontFamily="heading" fontWeight="600" borderTopWidth="1px" borderColor="line" py="1">
              {keys}
            </Box>
            <Box as="dd" borderTopWidth="1px" borderColor="line" py="1">
              {what}
            </Box>
          </Box>
        ))}
      </Box>
    </Box>
  );
}

/** The way to the list for whoever does not know its key. */
export function KeysButton() {
  return (
    <SlateButton type="button" aria-label="Keys" title="Keys (?)" onClick={showKeys}>
      <Keyboard size={17} aria-hidden />
    </SlateButton>
  );
}
