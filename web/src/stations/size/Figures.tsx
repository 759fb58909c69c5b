import type { BothBands, Derivations, DerivedFigure, PanelFigures } from '@north-pane/core/figures';
import { unevenness } from '@north-pane/core/flow';
import { formatIn, formatNumber, formatQuantity, type Habit } from '@north-pane/core/quantity';
import { Readout } from '../../parts/Readout';

interface Row {
  label: string;
  figure: DerivedFigure;
  /** Nothing where the panel cannot be worked out so far. */
  value(panel: PanelFigures, habit: Habit): string | undefined;
  /** Panels that have it at all. */
  only?(panel: PanelFigures): boolean;
  /** The band that goes with it, and how its numbers are written. */
  band?: { of: keyof BothBands['well made']; write(value: number, habit: Habit): string };
}

const difference = (value: number, habit: Habit) => formatQuantity('temperatureDifference', value, habit);
const rows: Row[] = [
  {
    label: 'Gain at design flow',
    figure: 'gain',
    value: ({ gain }, habit) => (gain === undefined ? undefined : difference(gain, habit).text),
    band: { of: 'gain', write: (value, habit) => difference(value, habit).number },
  },
  {
    label: 'Efficiency',
    figure: 'efficiency',
    value: ({ efficiency }) => (efficiency === undefined ? undefined : formatNumber(efficiency, 2)),
    band: { of: 'efficiency', write: (value) => formatNumber(value, 2) },
  },
  {
    label: 'Dry in sun',
    figure: 'dry',
    value: ({ stagnationTemperature: dry }, habit) =>
      dry === undefined ? undefined : formatQuantity('temperature', dry, habit, 0).text,
    band: {
      of: 'stagnationTemperature',
      write: (value, habit) => formatQuantity('temperature', value, habit, 0).number,
    },
  },
  {
    label: 'Fin between tubes',
    figure: 'fin',
    // A wetted sheet has none: its fin is perfect.
    only: ({ state }) => state !== undefined && state.finEfficiency < 1,
    value: ({ state }) => state && formatNumber(state.finEfficiency, 2),
  },
  {
    label: 'Tube to plate',
    figure: 'factor',
    only: ({ state }) => state !== undefined,
    value: ({ state }) => state && formatNumber(state.efficiencyFactor, 2),
  },
  {
    label: 'Riser flow, least to most',
    figure: 'riserFlow',
    only: ({ riserShares }) => riserShares.length > 0,
    value: ({ riserShares }) => `1 : ${formatNumber(unevenness(riserShares), 2)}`,
  },
  {
    label: 'Flow, each strip',
    figure: 'stripFlow',
    only: ({ stripFlow }) => stripFlow !== undefined,
    value: ({ stripFlow = 0 }, habit) => formatQuantity('flow', stripFlow, habit).text,
  },
  {
    label: 'Steam to the cover',
    figure: 'steam',
    only: ({ steam }) => steam !== undefined,
    value: ({ steam = 0 }, habit) => formatQuantity('power', steam, habit, 0).text,
  },
  {
    label: 'Pressure drop',
    figure: 'pressureDrop',
    only: ({ pressureDrop }) => pressureDrop !== undefined,
    value: ({ pressureDrop = 0 }, habit) => pressure(pressureDrop, habit),
  },
  {
    label: 'Lift of warm water',
    figure: 'lift',
    only: ({ lift }) => lift !== undefined,
    value: ({ lift = 0 }, habit) => pressure(lift, habit),
  },
  {
    label: 'Weight, dry and wet',
    figure: 'weight',
    value: ({ dryMass, wetMass }, habit) =>
      `${formatQuantity('mass', dryMass, habit, 0).number}, ${formatQuantity('mass', wetMass, habit, 0).text}`,
  },
];

/** The figures of a panel, each opening to its derivations and both its bands. */
export function Figures(props: {
  panel: PanelFigures;
  bands: BothBands | undefined;
  derivations: Derivations | undefined;
  opened: string | undefined;
  habit: Habit;
  onOpen(label: string): void;
}) {
  const { panel, bands, derivations, opened, habit, onOpen } = props;
  const shown = rows.filter(({ only }) => only?.(panel) ?? true);
  return shown.map(({ label, figure, value, band }) => {
    const span = (workmanship: keyof BothBands) => {
      const found = band && bands?.[workmanship][band.of];
      return found ? `${band.write(found.low, habit)} to ${band.write(found.high, habit)}` : undefined;
    };
    return (
      <Readout
        key={label}
        label={label}
        value={value(panel, habit) ?? 'cannot be worked out'}
        band={span('well made')}
        homeMade={opened === label ? span('home-made') : undefined}
        derivation={opened === label ? derivations?.[figure] : undefined}
        habit={habit}
        onOpen={onOpen}
      />
    );
  });
}

/** Panels drop a few pascals: too little for kPa or psi to show. */
function pressure(value: number, habit: Habit): string {
  if (Math.abs(value) >= 1000) return formatQuantity('pressure', value, habit).text;
  return habit === 'metric' ? formatIn('pressure', value, 'Pa').text : formatIn('pressure', value, 'inH₂O', 3).text;
}
