import type { Derivation, StillFigures } from '@north-pane/core/figures';
import { formatQuantity, type Habit } from '@north-pane/core/quantity';
import { Readout } from '../../parts/Readout';

const rows: {
  label: string;
  figure: keyof StillFigures;
  only?(still: StillFigures): boolean;
  value(still: StillFigures, habit: Habit): string;
}[] = [
  { label: 'Warms up, full, in', figure: 'warmUp', value: ({ warmUp }) => minutes(warmUp) },
  {
    label: 'Full and still, boils after',
    figure: 'boils',
    // A film runs off when the pump stops: it is never full.
    only: ({ boils }) => boils !== undefined,
    value: ({ boils }) => minutes(boils),
  },
  {
    label: 'Below the air by clear night',
    figure: 'belowAir',
    value: ({ belowAir }, habit) => formatQuantity('temperatureDifference', belowAir, habit).text,
  },
  {
    label: 'Freezes, full, when the air is',
    figure: 'freezesAt',
    only: ({ freezesAt }) => freezesAt !== undefined,
    value: ({ freezesAt = 0 }, habit) => formatQuantity('temperature', freezesAt, habit, 0).text,
  },
];

function minutes(seconds: number | undefined): string {
  if (seconds === undefined) return 'cannot be worked out';
  if (!Number.isFinite(seconds)) return 'never';
  return `${Math.round(seconds / 60)} min`;
}

/** Whether a readout is one of these. */
export function isStillReadout(label: string | undefined): boolean {
  return rows.some((row) => row.label === label);
}

/** What the panel does when nothing flows, by day and by night. */
export function Still(props: {
  still: StillFigures;
  derivations: Record<keyof StillFigures, Derivation> | undefined;
  opened: string | undefined;
  habit: Habit;
  onOpen(label: string): void;
}) {
  const { still, derivations, opened, habit, onOpen } = props;
  return rows
    .filter(({ only }) => only?.(still) ?? true)
    .map(({ label, figure, value }) => (
      <Readout
        key={label}
        label={label}
        value={value(still, habit)}
        derivation={opened === label ? derivations?.[figure] : undefined}
        habit={habit}
        onOpen={onOpen}
      />
    ));
}
