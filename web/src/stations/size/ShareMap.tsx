import { Box, Text } from '@chakra-ui/react';
import { type Habit, sayWords } from '@north-pane/core/quantity';
import { type Section, sayMeasured } from '@north-pane/core/readout';
import { unseen } from '../../parts/unseen';
import { heatInk, ink } from '../../theme/ink';

/** A cell in the colour of its share, light enough to be read on. */
function shade(share: number): string {
  return `color-mix(in srgb, ${heatInk(share)} 45%, ${ink('bg')})`;
}

/** Shares over two axes, the most at the top: colour from cold to hot and the number in every cell; the design's own is framed. */
export function ShareMap({ section, habit }: { section: Extract<Section, { kind: 'map' }>; habit: Habit }) {
  const { title, x, y, shares, now, note } = section;
  const most = Math.max(...shares.flat(), 1e-9);
  const rows = y.values.map((value, row) => ({ value, row, name: sayMeasured(value, habit) })).reverse();
  return (
    <Box mb="3">
      <Box overflowX="auto" role="region" aria-label={title} tabIndex={0}>
        <table style={{ fontSize: 13, borderCollapse: 'collapse', width: '100%' }}>
          <caption style={unseen}>{title}</caption>
          <thead>
            <tr>
              <th scope="col" style={{ ...head, textAlign: 'left', whiteSpace: 'normal' }}>
                {y.title}
              </th>
              <th
                scope="colgroup"
                colSpan={x.values.length}
                style={{ ...head, textAlign: 'center', whiteSpace: 'normal' }}
              >
                {x.title}
              </th>
            </tr>
            <tr>
              <td style={head} />
              {x.values.map((value) => (
                <th key={value.value} scope="col" style={head}>
                  {sayMeasured(value, habit)}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map(({ name, row }) => (
              <tr key={row}>
                <th scope="row" style={{ ...head, textAlign: 'left', color: ink('fg') }}>
                  {name}
                </th>
                {x.values.map((value, column) => {
                  const share = shares[row]?.[column] ?? 0;
                  const mine = now?.row === row && now.column === column;
                  return (
                    <td
                      key={value.value}
                      style={{
                        ...cell,
                        background: shade(share / most),
                        ...(mine ? { outline: `2px solid ${ink('fg')}`, outlineOffset: -2, fontWeight: 700 } : {}),
                      }}
                    >
                      {Math.round(100 * share)}
                      {mine && <span style={unseen}> as drawn</span>}
                    </td>
                  );
                })}
              </tr>
            ))}
          </tbody>
        </table>
      </Box>
      <Text fontSize="13px" color="soft" mt="1">
        In hundredths; the frame is the design. {sayWords(note, habit)}
      </Text>
    </Box>
  );
}

const head = { padding: '3px 4px', fontWeight: 400, color: ink('soft'), whiteSpace: 'nowrap' } as const;
const cell = { padding: '4px', textAlign: 'center', fontVariantNumeric: 'tabular-nums', minWidth: 28 } as const;
