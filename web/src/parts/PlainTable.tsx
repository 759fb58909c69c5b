import { Box, Text } from '@chakra-ui/react';
import type { Section } from '@north-pane/core/readout';
import { ink } from '../theme/ink';

/** Words and numbers that are written as they stand. */
export function PlainTable({ section }: { section: Extract<Section, { kind: 'table' }> }) {
  const { title, columns, rows, note } = section;
  return (
    <Box mb="3">
      <Box overflowX="auto" role="region" aria-label={title} tabIndex={0}>
        <table style={{ width: '100%', fontSize: 14, borderCollapse: 'collapse' }}>
          <caption style={{ textAlign: 'left', fontWeight: 600, padding: '4px 0' }}>{title}</caption>
          <thead>
            <tr>
              {columns.map((column) => (
                <th key={column} scope="col" style={{ ...cell, color: ink('soft'), fontWeight: 400 }}>
                  {column}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map(([first = '', ...others]) => (
              <tr key={first}>
                <th scope="row" style={{ ...cell, fontWeight: 600, whiteSpace: 'nowrap' }}>
                  {first}
                </th>
                {others.map((words, index) => (
                  <td key={columns[index + 1]} style={cell}>
                    {words}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </Box>
      <Text fontSize="13px" color="soft" mt="1">
        {note}
      </Text>
    </Box>
  );
}

const cell = { textAlign: 'left', padding: '3px 10px 3px 0', borderBottom: `1px solid ${ink('line')}` } as const;
