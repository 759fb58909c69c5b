import type { CollectorState } from '@north-pane/core/heat';
import { formatNumber } from '@north-pane/core/quantity';
import { ink } from '../../theme/ink';

const ways: { way: keyof CollectorState['paths']; words: string; fill: string; text: string }[] = [
  { way: 'water', words: 'to water', fill: ink('copper'), text: 'white' },
  {
    way: 'optical',
    words: 'pane, paint',
    fill: 'color-mix(in srgb, var(--np-colors-pane) 45%, var(--np-colors-card))',
    text: ink('ink'),
  },
  {
    way: 'top',
    words: 'top',
    fill: 'color-mix(in srgb, var(--np-colors-cold) 35%, var(--np-colors-card))',
    text: ink('ink'),
  },
  { way: 'back', words: 'back', fill: ink('wool'), text: ink('ink') },
  { way: 'edge', words: 'rim', fill: ink('timber'), text: ink('ink') },
];

/** Where the sun on the pane goes, as a strip of shares; small ones are named below it. */
export function Paths({ paths, sun }: { paths: CollectorState['paths']; sun: string }) {
  const total = Object.values(paths).reduce((sum, part) => sum + part, 0);
  const shares = ways.map((one) => ({ ...one, percent: (100 * paths[one.way]) / total }));
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
          <div key={one.way} style={{ ...strip, width: `${one.percent}%`, background: one.fill, color: one.text }}>
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
