import { ChakraProvider } from '@chakra-ui/react';
import { expect } from 'chai';
import { renderToStaticMarkup } from 'react-dom/server';
import { system } from '../theme/system';
import { type ColumnDef, DataTable } from './DataTable';

interface Line {
  id: string;
  price: number;
}
const rows: Line[] = [
  { id: 'tube', price: 34 },
  { id: 'flux', price: 4 },
  { id: 'pane', price: 81 },
];
const columns: ColumnDef<Line>[] = [
  { accessorKey: 'id', header: 'what' },
  { accessorKey: 'price', header: 'in all', meta: { end: true } },
  { id: 'do', header: '', cell: ({ row }) => `take ${row.original.id}` },
];
const drawn = (more: object = {}) =>
  renderToStaticMarkup(
    <ChakraProvider value={system}>
      <DataTable label="Buy" rows={rows} columns={columns} idOf={({ id }) => id} {...more} />
    </ChakraProvider>,
  );
const order = (html: string) => [...html.matchAll(/>take (\w+)</g)].map(([, id]) => id);

describe('web: a table', () => {
  it('stands in the order it is given, its heads to sort by, and names every head', () => {
    const html = drawn();
    expect(order(html)).deep.equal(['tube', 'flux', 'pane']);
    expect(html.match(/<button/g)).lengthOf(2);
    expect(html).include('>to do<');
    expect(html).not.match(/aria-sort/);
  });
  it('sorts as it is told first, and says so', () => {
    const html = drawn({ sortFirst: [{ id: 'price', desc: true }] });
    expect(order(html)).deep.equal(['pane', 'tube', 'flux']);
    expect(html.match(/aria-sort="descending"/g)).lengthOf(1);
  });
  it('puts many rows on pages, and says where there are none', () => {
    const many = Array.from({ length: 120 }, (_, index) => ({ id: `n${index}`, price: index }));
    const html = drawn({ rows: many });
    expect(order(html)).lengthOf(50);
    expect(html).include('1 of 3');
    expect(drawn({ rows: [] })).include('Nothing here.');
  });
});
