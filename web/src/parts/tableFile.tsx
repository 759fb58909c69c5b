import { Box, Input, Text } from '@chakra-ui/react';
import { formatNumber } from '@north-pane/core/quantity';
import { previewTable, type Table as WrittenTable } from '@north-pane/core/table';
import { useState } from 'react';
import { type ColumnDef, DataTable } from './DataTable';

/** A file of a table, loaded but not read yet. */
export interface TableFile {
  name: string;
  text: string;
  table: WrittenTable;
}

/** Loads a file somebody chose; says why when it is no table that can be told apart. */
async function loadTable(chosen: File, mostMegabytes: number): Promise<TableFile | string> {
  if (chosen.size > mostMegabytes * 1024 * 1024)
    return `${chosen.name} is ${formatNumber(chosen.size / 1048576)} MB; at most ${mostMegabytes} MB go in one piece. Cut it into parts.`;
  const text = await chosen.text();
  if (text.includes('\0')) return `${chosen.name} is no text file. Save the table as CSV and take that.`;
  const table = previewTable(text);
  if (!table)
    return `${chosen.name} has no columns that can be told apart. A CSV file has a heading line, and commas, semicolons or tabs between its cells.`;
  return { name: chosen.name, text, table };
}

/** Chooses a file of a table. `onFile` gets undefined as soon as another one is being chosen. */
export function TableFileEntry(props: {
  id: string;
  label: string;
  mostMegabytes: number;
  onFile(file: TableFile | undefined): void;
}) {
  const { id, label, mostMegabytes, onFile } = props;
  const [trouble, setTrouble] = useState<string | undefined>(undefined);
  const choose = async (chosen: File | undefined) => {
    setTrouble(undefined);
    onFile(undefined);
    if (!chosen) return;
    const loaded = await loadTable(chosen, mostMegabytes);
    if (typeof loaded === 'string') setTrouble(loaded);
    else onFile(loaded);
  };
  return (
    <Box>
      <label htmlFor={id}>{label}</label>
      <Input
        id={id}
        type="file"
        accept=".csv,.txt,.tsv,text/csv"
        mt="1"
        py="1.5"
        onChange={(event) => void choose(event.currentTarget.files?.[0])}
      />
      {trouble && (
        <Text role="alert" color="brickText" fontWeight="600" mt="2">
          {trouble}
        </Text>
      )}
    </Box>
  );
}

/** The first rows of a file, to see which column is what. */
export function TablePreview({ table }: { table: WrittenTable }) {
  const columns = table.headings.map(
    (heading, index): ColumnDef<string[]> => ({
      // Headings may be alike.
      id: String(index),
      accessorFn: (row) => row[index],
      header: `${heading}${table.units[index] ? ` (${table.units[index]})` : ''}`,
      enableSorting: false,
    }),
  );
  return (
    <DataTable
      label="First rows of the file"
      rows={table.rows.slice(0, 3)}
      columns={columns}
      idOf={(_, index) => String(index)}
    />
  );
}

/** Lines that could not be read, each with its reason; the first of many. */
export function RefusedLines({ count, lines }: { count: number; lines: readonly { line: number; reason: string }[] }) {
  if (count === 0) return null;
  return (
    <Box>
      <Text color="ochreText" fontWeight="600">
        {formatNumber(count)} {count === 1 ? 'line' : 'lines'} cannot be read:
      </Text>
      <Box maxH="160px" overflowY="auto" fontSize="14px" tabIndex={0} role="region" aria-label="Refused lines">
        {lines.map(({ line, reason }) => (
          <Text key={line}>
            line {line}: {reason}
          </Text>
        ))}
        {count > lines.length && <Text>and {formatNumber(count - lines.length)} more</Text>}
      </Box>
    </Box>
  );
}
