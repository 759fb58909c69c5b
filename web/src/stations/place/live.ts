import { type Job, mainTilt } from '@north-pane/core/document';
import type { HorizonPoint } from '@north-pane/core/sky';
import { create } from 'zustand';
import { jobActions, jobNow, useDocument } from '../../state/job';

/** What follows the hand while a handle is dragged; the job has it as soon as the hand rests. */
interface Live {
  aim: number | undefined;
  tilt: number | undefined;
  horizon: HorizonPoint[] | undefined;
}

const none: Live = { aim: undefined, tilt: undefined, horizon: undefined };
export const useLive = create<Live>()(() => none);

/** ms after which a hand that holds still is taken to rest. */
const rest = 140;

/** Where each stands in the job. */
const pathsIn = ({ site }: Job) =>
  ({ aim: 'site.standing.aim', tilt: mainTilt(site).path, horizon: 'site.horizon' }) as const;

/** How the pane stands and what stands before it, at this very moment. */
export function useLiveStanding(): { aim: number; tilt: number; horizon: readonly HorizonPoint[] } {
  const { site } = useDocument();
  const live = useLive();
  return {
    aim: live.aim ?? site.standing.aim,
    tilt: live.tilt ?? mainTilt(site).tilt,
    horizon: live.horizon ?? site.horizon,
  };
}

/** Of the drag that is under way: there is one hand. */
let resting: number | undefined;
let dragging = false;

const commit = () => {
  window.clearTimeout(resting);
  const live = useLive.getState();
  const paths = pathsIn(jobNow());
  const changes = (['aim', 'tilt', 'horizon'] as const).flatMap((name) =>
    live[name] === undefined ? [] : [{ path: paths[name], value: live[name] }],
  );
  if (changes.length > 0) jobActions().changeAll(changes);
};

/** Dragging one of them: the picture follows the hand in its own frame, and the year is worked out anew when the hand rests. One drag is one undo. */
export const liveDrag = {
  onBegin(): void {
    dragging = true;
    jobActions().beginDrag();
  },
  onEnd(): void {
    commit();
    dragging = false;
    useLive.setState(none);
    jobActions().endDrag();
  },
  /** While it is dragged the picture follows at once; a key or a typed value goes to the job at once. */
  set<K extends keyof Live>(name: K, value: NonNullable<Live[K]>): void {
    if (!dragging) {
      jobActions().change(pathsIn(jobNow())[name], value);
      return;
    }
    useLive.setState({ [name]: value });
    window.clearTimeout(resting);
    resting = window.setTimeout(commit, rest);
  },
};
