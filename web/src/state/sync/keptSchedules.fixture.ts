/** So many edits of the first window, one after the other. */
function edits(count: number): (readonly [number, number, number])[] {
  return Array.from({ length: count }, () => [0, 0, 0] as const);
}

/** Schedules that found a fault once: what of, how many windows, and what happens in turn; `[0, 0, 0]` so often is an edit of the first window. */
export const keptSchedules: readonly {
  fault: string;
  windows: number;
  schedule: readonly (readonly [number, number, number])[];
}[] = [
  {
    fault: 'the acknowledged event of a server that was put back',
    windows: 3,
    schedule: [
      [5, 0, 0],
      [16, 0, 0],
      [8, 0, 0],
      [8, 0, 0],
      [5, 0, 0],
      [16, 0, 8],
      ...edits(3),
      [6, 0, 0],
      ...edits(13),
      [6, 0, 0],
      [0, 0, 0],
      [6, 0, 0],
      [0, 0, 0],
      [0, 0, 0],
      [8, 0, 0],
    ],
  },
  {
    fault: 'a log of the same length with another event in it',
    windows: 4,
    schedule: [
      [16, 0, 0],
      [5, 1, 0],
      [5, 0, 0],
      [8, 0, 0],
      [8, 0, 0],
      [8, 0, 0],
      ...edits(7),
      [0, 13, 0],
      [0, 0, 0],
      [0, 0, 0],
      [6, 0, 0],
      [0, 0, 0],
      [0, 0, 0],
      [5, 0, 0],
      [6, 21, 0],
      [8, 0, 14],
      ...edits(4),
      [5, 0, 0],
      ...edits(8),
      [16, 0, 8],
    ],
  },
  {
    fault: 'an event that was heard from a window that then drops it',
    windows: 4,
    schedule: [
      [16, 0, 0],
      [5, 31, 0],
      [5, 27, 0],
      [8, 0, 0],
      [8, 0, 3],
      [16, 0, 8],
      ...edits(5),
      [6, 15, 0],
      ...edits(6),
      [8, 0, 0],
      [0, 0, 0],
      [0, 0, 0],
      [14, 3, 13],
    ],
  },
  {
    fault: 'a value that another window of the browser set anew',
    windows: 3,
    schedule: [
      [16, 0, 0],
      ...edits(5),
      [5, 17, 0],
      ...edits(7),
      [5, 0, 0],
      ...edits(5),
      [16, 0, 8],
      ...edits(6),
      [0, 29, 0],
      ...edits(3),
    ],
  },
];
