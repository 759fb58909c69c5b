import { describeChanges, type Job } from '@north-pane/core/document';
import { useEffect, useState } from 'react';
import { unseen } from '../parts/unseen';
import { jobActions, useJob } from '../state/job';
import { useView } from '../state/view';

/** ms of quiet after which an edit is over: a drag of the tape is one edit, told once. */
const quiet = 600;

/**
 * Tells readers of the page what an edit changed, once it is over: the only live region of the shell, so that nothing is told twice.
 * The name of another job, and its first opening, are told by the heading.
 */
export function Announcer() {
  const [words, setWords] = useState('');
  useEffect(() => {
    let told: { id: string | undefined; document: Job | undefined } = jobActions();
    let wait: number | undefined;
    const stop = useJob.subscribe((state) => {
      if (state.id !== told.id || !told.document) {
        told = { id: state.id, document: state.document };
        return;
      }
      if (state.document === told.document || state.sync?.dragFrom) return;
      window.clearTimeout(wait);
      wait = window.setTimeout(() => {
        const { id, document } = jobActions();
        if (!document || !told.document || id !== told.id) return;
        const habit = useView.getState().habit ?? document.units;
        const changed = describeChanges(told.document, document, habit);
        told = { id, document };
        // The same words again are told again only when they differ: a space makes them so.
        if (changed) setWords((before) => (before === changed ? `${changed}\u00a0` : changed));
      }, quiet);
    });
    return () => {
      stop();
      window.clearTimeout(wait);
    };
  }, []);
  return (
    <div role="status" aria-live="polite" data-testid="announcer" style={unseen}>
      {words}
    </div>
  );
}
