import { Dialog, Table } from '@chakra-ui/react';
import { useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { useNavigate } from 'react-router';
import { awake } from '../parts/awake';
import { Frame } from '../parts/Frame';
import { useJob } from '../state/job';
import { useKeepRevision } from '../state/kept';
import { useView } from '../state/view';
import { stations } from './stations';

const list: [keys: string, what: string][] = [
  [stations.map((one) => one.number).join(' '), 'go to a station'],
  ['u', 'flip units'],
  [', and .', 'nudge the chosen dimension by one tape mark, with Shift by ten'],
  ['Ctrl Z, Shift Ctrl Z', 'undo, redo'],
  ['k', 'keep a revision'],
  ['?', 'this list'],
];

/** Keys that work on every station. None of them fires while something is being typed. */
export function Shortcuts({ jobId }: { jobId: string }) {
  const navigate = useNavigate();
  const keep = useKeepRevision();
  const [shown, setShown] = useState(false);
  useHotkeys(
    '1,2,3,4,5,6,7,8',
    (event) => {
      const station = stations.find((one) => String(one.number) === event.key);
      if (station) void navigate(`/jobs/${jobId}/${station.id}`);
    },
    awake,
  );
  useHotkeys(
    'u',
    () => {
      const { habit, setHabit } = useView.getState();
      const now = habit ?? useJob.getState().document?.units;
      setHabit(now === 'metric' ? 'imperial' : 'metric');
    },
    awake,
  );
  useHotkeys('k', () => keep.mutate(), awake);
  useHotkeys('mod+z', () => useJob.getState().undo(), { ...awake, preventDefault: true });
  useHotkeys('mod+shift+z', () => useJob.getState().redo(), { ...awake, preventDefault: true });
  useHotkeys('?', () => setShown(true), { ...awake, useKey: true });
  if (!shown) return null;
  return (
    <Frame title="Keys" onClose={() => setShown(false)}>
      <Dialog.Body pb="6">
        <Table.Root size="sm">
          <Table.Body>
            {list.map(([keys, what]) => (
              <Table.Row key={keys} bg="transparent">
                <Table.Cell fontFamily="heading" fontWeight="600" whiteSpace="nowrap">
                  {keys}
                </Table.Cell>
                <Table.Cell>{what}</Table.Cell>
              </Table.Row>
            ))}
          </Table.Body>
        </Table.Root>
      </Dialog.Body>
    </Frame>
  );
}
