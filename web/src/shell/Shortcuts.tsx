import { useNavigate } from 'react-router';
import { useChord, useSingleKeys } from '../parts/keys';
import { jobActions, jobNow } from '../state/job';
import { useAskToKeep } from '../state/kept';
import { printWhenReady } from '../state/printing';
import { useView } from '../state/view';
import { KeysDialog } from './KeysDialog';
import { stations } from './stations';

/** Keys that work on every station of a job. */
export function Shortcuts({ jobId }: { jobId: string }) {
  const navigate = useNavigate();
  const ask = useAskToKeep();
  useSingleKeys('1 2 3 4 5 6 7 8', ({ key }) => {
    const station = stations.find((one) => String(one.number) === key);
    if (station) void navigate(`/jobs/${jobId}/${station.id}`);
  });
  useSingleKeys('u', () => useView.getState().flipHabit(jobNow().units));
  useSingleKeys('k', ask);
  useChord('z', () => jobActions().undo());
  useChord('z', () => jobActions().redo(), { shift: true });
  useChord('p', () => void printWhenReady());
  useChord('y', () => jobActions().redo());
  return <KeysDialog job />;
}
