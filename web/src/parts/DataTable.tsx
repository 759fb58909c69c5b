// The library changes what it gives in place: the compiler may not keep it.
'use no memo';

import { Box, Button, Flex, Input, Table, Text } from '@chakra-ui/react';
import {
  type ColumnDef,
  getCoreRowModel,
  getFilteredRowModel,
  getPaginationRowModel,
  getSortedRowModel,
  type HeaderGroup,
  type RowData,
  type SortingState,
  type Row as TableRow,
  useReactTable,
} from '@tanstack/react-table';
import { ArrowDown, ArrowUp, ArrowUpDown } from 'lucide-react';
import { type ReactNode, useState } from 'react';
import { unseen } from './unseen';

declare module '@tanstack/react-table' {
  interface ColumnMeta<TData extends RowData, TValue> {
    /** Figures stand to the right. */
    end?: boolean;
    /** Left out on a phone: what it tells stands in another column there. */
    wide?: boolean;
    width?: string;
    /** Of a cell, where it is not that of its table. */
    weight?(row: TData, value: TValue): number;
  }
}

export type { ColumnDef };

/** Rows that are shown at a time; more go on pages. */
const pageSize = 50;

/**
 * A table by the house's table package: columns with an accessor sort by their heads, `filter` adds a field that finds rows by any
 * word in them, and many rows go on pages. It scrolls sideways by itself where it is wider than its room.
 */
export function DataTable<Row>(props: {
  label: string;
  rows: readonly Row[];
  // biome-ignore lint/suspicious/noExplicitAny: the package's own type for columns of unlike values
  columns: ColumnDef<Row, any>[];
  idOf(row: Row, index: number): string;
  /** Shows the field to find rows by. */
  filter?: string;
  /** Rows that stand out. */
  marked?(row: Row): boolean;
  tone?(row: Row): string | undefined;
  sortFirst?: SortingState;
}) {
  const { label, rows, columns, idOf, filter, marked, tone, sortFirst } = props;
  const [sorting, setSorting] = useState<SortingState>(sortFirst ?? []);
  const [wanted, setWanted] = useState('');
  const table = useReactTable({
    data: rows as Row[],
    columns,
    state: { sorting, globalFilter: wanted },
    onSortingChange: setSorting,
    onGlobalFilterChange: setWanted,
    getRowId: idOf,
    getCoreRowModel: getCoreRowModel(),
    getSortedRowModel: getSortedRowModel(),
    getFilteredRowModel: getFilteredRowModel(),
    getPaginationRowModel: getPaginationRowModel(),
    globalFilterFn: 'includesString',
    initialState: { pagination: { pageSize } },
    autoResetPageIndex: false,
  });
  const shown = table.getRowModel().rows;
  const pages = table.getPageCount();
  const { pageIndex } = table.getState().pagination;
  return (
    <Box>
      {filter && (
        <Input
          size="sm"
          mb="2"
          maxW="260px"
          aria-label={filter}
          placeholder={filter}
          value={wanted}
          onChange={(event) => {
            setWanted(event.currentTarget.value);
            table.setPageIndex(0);
          }}
        />
      )}
      <Box overflowX="auto" tabIndex={0} role="region" aria-label={`Table: ${label}`}>
        <Table.Root size="sm" aria-label={label}>
          <Table.Header>
            {table.getHeaderGroups().map((group) => (
              <HeadRow key={group.id} group={group as HeaderGroup<unknown>} />
            ))}
          </Table.Header>
          <Table.Body>
            {shown.map((row) => (
              <BodyRow
                key={row.id}
                row={row as TableRow<unknown>}
                marked={marked?.(row.original) ?? false}
                tone={tone?.(row.original)}
              />
            ))}
          </Table.Body>
        </Table.Root>
      </Box>
      {shown.length === 0 && (
        <Text color="soft" fontSize="14px" mt="2">
          {wanted ? `Nothing has “${wanted}” in it.` : 'Nothing here.'}
        </Text>
      )}
      {pages > 1 && (
        <Flex align="center" gap="2" mt="2">
          <Button
            size="xs"
            variant="outline"
            disabled={!table.getCanPreviousPage()}
            onClick={() => table.previousPage()}
          >
            Page before
          </Button>
          <Text fontSize="14px">
            {pageIndex + 1} of {pages}
          </Text>
          <Button size="xs" variant="outline" disabled={!table.getCanNextPage()} onClick={() => table.nextPage()}>
            Next page
          </Button>
        </Flex>
      )}
    </Box>
  );
}

/** A head or cell by its column's own function, which is no component: what is typed in a cell outlives other columns. */
function rendered<Context>(
  template: string | ((context: Context) => ReactNode) | undefined,
  context: Context,
): ReactNode {
  return typeof template === 'function' ? template(context) : template;
}

function HeadRow({ group }: { group: HeaderGroup<unknown> }) {
  return (
    <Table.Row bg="transparent" verticalAlign="bottom">
      {group.headers.map((header) => {
        const { column } = header;
        const sorted = column.getIsSorted();
        const meta = column.columnDef.meta;
        return (
          <Table.ColumnHeader
            key={header.id}
            px="2"
            position="relative"
            color="ink"
            borderColor="line"
            width={meta?.width}
            display={meta?.wide ? { base: 'none', md: 'table-cell' } : undefined}
            textAlign={meta?.end ? 'end' : undefined}
            aria-sort={sorted === 'asc' ? 'ascending' : sorted === 'desc' ? 'descending' : undefined}
          >
            {column.getCanSort() ? (
              <SortButton sorted={sorted} onSort={() => column.toggleSorting()}>
                {rendered(column.columnDef.header, header.getContext())}
              </SortButton>
            ) : column.columnDef.header === '' ? (
              <span style={unseen}>to do</span>
            ) : (
              rendered(column.columnDef.header, header.getContext())
            )}
          </Table.ColumnHeader>
        );
      })}
    </Table.Row>
  );
}

interface BodyRowProps {
  row: TableRow<unknown>;
  marked: boolean;
  tone: string | undefined;
}

function BodyRow({ row, marked, tone }: BodyRowProps) {
  return (
    <Table.Row bg={marked ? 'well' : 'transparent'} color={tone}>
      {row.getVisibleCells().map((cell) => {
        const meta = cell.column.columnDef.meta;
        return (
          <Table.Cell
            key={cell.id}
            px="2"
            borderColor="line"
            textAlign={meta?.end ? 'end' : undefined}
            whiteSpace={meta?.end ? 'nowrap' : undefined}
            display={meta?.wide ? { base: 'none', md: 'table-cell' } : undefined}
            fontWeight={meta?.weight?.(row.original, cell.getValue())}
          >
            {rendered(cell.column.columnDef.cell, cell.getContext())}
          </Table.Cell>
        );
      })}
    </Table.Row>
  );
}

const headButton = {
  display: 'inline-flex',
  alignItems: 'center',
  gap: 4,
  font: 'inherit',
  cursor: 'pointer',
} as const;

function SortButton(props: { sorted: false | 'asc' | 'desc'; onSort(): void; children: ReactNode }) {
  const Sign = props.sorted === 'asc' ? ArrowUp : props.sorted === 'desc' ? ArrowDown : ArrowUpDown;
  return (
    <button type="button" className="plain-target" onClick={props.onSort} style={headButton}>
      {props.children}
      <Sign size={13} aria-hidden style={{ opacity: props.sorted ? 1 : 0.5, flexShrink: 0 }} />
    </button>
  );
}
