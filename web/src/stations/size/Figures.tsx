import { type BothBands, bandOf } from '@north-pane/core/figures';
import type { Habit } from '@north-pane/core/quantity';
import { type Readout as ReadoutData, sayBand, sayReadout } from '@north-pane/core/readout';
import { Readout } from '../../parts/Readout';

/** Figures, each opening to its derivation and, where it has them, both its bands. */
export function Figures(props: {
  readouts: readonly ReadoutData[];
  bands?: BothBands | undefined;
  opened: string | undefined;
  habit: Habit;
  onOpen(label: string): void;
}) {
  const { readouts, bands, opened, habit, onOpen } = props;
  return readouts.map((readout) => {
    const { id, label, derivation } = readout;
    const figure = bandOf[id];
    const band = (workmanship: keyof BothBands) => {
      const found = figure && bands?.[workmanship][figure];
      return found ? sayBand(readout, found, habit) : undefined;
    };
    const open = opened === label;
    return (
      <Readout
        key={id}
        label={label}
        value={sayReadout(readout, habit)}
        band={band('well made')}
        homeMade={open ? band('home-made') : undefined}
        derivation={open ? derivation : undefined}
        habit={habit}
        onOpen={onOpen}
      />
    );
  });
}
