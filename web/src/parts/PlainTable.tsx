import { Box, Text } from '@chakra-ui/react';
import { type Habit, sayWords } from '@north-pane/core/quantity';
import type { Section } from '@north-pane/core/readout';
import { ink } from '../theme/ink';
import { unseen } from './unseen';

const caption = { textAlign: 'left', fontWeight: 600, padding: '4px 0' } as const;

/** Rows of words, quantities in them in the reader's unit; `headed` where its title stands over it already. */
export function PlainTable({
  section,
  habit,
  headed,
}: {
  section: Extract<Section, { kind: 'table' }>;
  habit: Habit;
  headed?: boolean;
}) {
  const { title, columns, rows, note } = section;
  return (
    <Box mb="3">
      <Box overflowX="auto" role="region" aria-label={title} tabIndex={0}>
        <table style={{ width: '100%', fontSize: 14, borderCollapse: 'collapse' }}>
          <caption style={headed ? unseen : caption}>{title}</caption>
          <thead>
            <tr>
              {columns.map((column) => (
                <th key={column} scope="col" style={{ ...cell, color: ink('soft'), fontWeight: 400 }}>
                  {sayWords(column, habit)}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map(([first = '', ...others]) => (
              <tr key={first}>
                <th
                  scope="row"
                  style={{ ...cell, fontWeight: 600, whiteSpace: first.length > 24 ? 'normal' : 'nowrap' }}
                >
                  {sayWords(first, habit)}
                </th>
                {others.map((words, index) => (
                  <td key={columns[index + 1]} style={cell}>
                    {sayWords(words, habit)}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </Box>
      <Text fontSize="13px" color="soft" mt="1">
        {sayWords(note, habit)}
      </Text>
    </Box>
  );
}

const cell = { textAlign: 'left', padding: '3px 10px 3px 0', borderBottom: `1px solid ${ink('line')}` } as const;
