import { type CollectorState, formatNumber } from '@north-pane/core';
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
export function Paths({ paths }: { paths: CollectorState['paths'] }) {
  const total = Object.values(paths).reduce((sum, part) => sum + part, 0);
  const shares = ways.map((one) => ({ ...one, percent: (100 * paths[one.way]) / total }));
  return (
    <div style={{ marginBottom: 8 }}>
      <div
        style={{ display: 'flex', height: 24 }}
        role="img"
        aria-label={shares.map(({ words, percent }) => `${words} ${formatNumber(percent)} percent`).join(', ')}
      >
        {shares.map(({ way, words, fill, text, percent }) => (
          <div key={way} style={{ ...strip, width: `${percent}%`, background: fill, color: text }}>
            {percent > 26 ? `${words} ${formatNumber(percent)} %` : ''}
          </div>
        ))}
      </div>
      <p style={{ fontSize: 13, color: ink('soft'), marginTop: 4 }}>
        {shares
          .filter(({ percent }) => percent <= 26)
          .map(({ words, percent }) => `${words} ${formatNumber(percent)} %`)
          .join(', ')}
      </p>
    </div>
  );
}

const strip = {
  display: 'flex',
  alignItems: 'center',
  padding: '0 4px',
  overflow: 'hidden',
  fontSize: 13,
  whiteSpace: 'nowrap',
  borderRight: `1px solid ${ink('ground')}`,
} as const;
