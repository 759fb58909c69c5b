import { errorWords } from '@north-pane/core/care';
import { useEffect, useState } from 'react';
import { useJob } from './job';
import { type Driver, driveJob } from './sync/driver';
import { eachRound, whileListening } from './sync/line';
import { openJobHere } from './sync/opening';
import { beginLooking, sendLeft, sendOrphans } from './sync/orphans';

whileListening(() => void sendOrphans());
eachRound(() => void sendLeft());

/**
 * Opens a job in this window for as long as it is looked at: its machine runs, other hands are heard, and what waits goes on being sent.
 *
 * @returns why it cannot be opened
 */
export function useOpened(id: string): string | undefined {
  const [failed, setFailed] = useState<{ id: string; words: string } | undefined>(undefined);
  useEffect(() => {
    let driver: Driver | undefined;
    let left = false;
    const look = beginLooking(id);
    look.ready
      .then(() => openJobHere(id))
      .then(
        ({ job, tab, state, inputs, tidyUp }) => {
          if (left) return;
          const { open } = useJob.getState();
          const give = (input: (typeof inputs)[number]) => {
            // What comes late for a job that was left is nobody's.
            if (useJob.getState().id === id) useJob.getState().give(input);
          };
          driver = driveJob(job, tab, give, (trouble) => useJob.setState({ trouble }));
          open(id, state, driver.run);
          setFailed(undefined);
          driver.run([{ kind: 'persist' }], state);
          for (const input of inputs) give(input);
          void driver.laid().then(tidyUp);
        },
        (error: unknown) => {
          if (!left) setFailed({ id, words: errorWords(error) });
        },
      );
    return () => {
      left = true;
      // What has just been set goes off at once; its answer is asked for again in the next round.
      if (useJob.getState().id === id) useJob.getState().give({ kind: 'due' });
      driver?.close();
      // Not before the last of it is persisted: what is sent for it then is what stands there.
      void (driver?.laid() ?? Promise.resolve()).finally(look.end);
      if (useJob.getState().id === id) useJob.getState().close();
    };
  }, [id]);
  return failed?.id === id ? failed.words : undefined;
}
