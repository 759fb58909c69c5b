import { formatNumber } from '@north-pane/core/quantity';
import type { Section } from '@north-pane/core/readout';
import { ink } from '../../theme/ink';

type HeatPaths = Extract<Section, { kind: 'balance' }>['paths'];

/** Fills in the order of the paths: what is won first, and what is lost after it. */
const fills: readonly { fill: string; text: string }[] = [
  { fill: ink('copper'), text: 'white' },
  { fill: 'color-mix(in srgb, var(--np-colors-pane) 45%, var(--np-colors-card))', text: ink('ink') },
  { fill: 'color-mix(in srgb, var(--np-colors-cold) 35%, var(--np-colors-card))', text: ink('ink') },
  { fill: ink('wool'), text: ink('ink') },
  { fill: ink('timber'), text: ink('ink') },
];

/** Where the sun on the pane goes, as a strip of shares; small ones are named below it. */
export function Paths({ paths, sun }: { paths: HeatPaths; sun: string }) {
  const total = paths.reduce((sum, { watts }) => sum + watts, 0);
  // What is no share to speak of is not drawn; a balance may close on a hair below nothing.
  const shares = paths
    .filter(({ id, watts }) => id === 'water' || watts / total > 0.005)
    .map(({ id, words, watts }, index) => ({
      id,
      words,
      percent: (100 * watts) / total,
      ...(fills[index % fills.length] ?? { fill: ink('wool'), text: ink('ink') }),
    }));
  const inside = (percent: number) => percent > 35;
  const named = ({ words, percent }: (typeof shares)[number]) => `${words} ${formatNumber(percent)} %`;
  return (
    <div style={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', columnGap: 10, marginBottom: 4 }}>
      <span style={small}>of {sun}</span>
      <div
        style={{ display: 'flex', height: 22, flex: '1 1 260px', minWidth: 0 }}
        role="img"
        aria-label={shares.map(({ words, percent }) => `${words} ${formatNumber(percent)} percent`).join(', ')}
      >
        {shares.map((one) => (
          <div key={one.id} style={{ ...strip, width: `${one.percent}%`, background: one.fill, color: one.text }}>
            {inside(one.percent) ? named(one) : ''}
          </div>
        ))}
      </div>
      <span style={small}>
        {shares
          .filter(({ percent }) => !inside(percent))
          .map(named)
          .join(', ')}
      </span>
    </div>
  );
}

const small = { fontSize: 13, color: ink('soft'), whiteSpace: 'nowrap' } as const;
const strip = {
  display: 'flex',
  alignItems: 'center',
  padding: '0 4px',
  overflow: 'hidden',
  fontSize: 13,
  whiteSpace: 'nowrap',
  borderRight: `1px solid ${ink('ground')}`,
} as const;
