import { expect } from 'chai';
import { previewTable, readCell, readTable } from './table';

describe('table: written tables', () => {
  it('finds headings, units and rows under lines of talk', () => {
    const table = readTable(
      [
        'Weather mast at the reach',
        'made up, not measured',
        '',
        'time;sun;air',
        ';W/m²;°C',
        '2026-01-01 00:00;0;14,5',
        '2026-01-01 01:00;0;14,1',
      ].join('\r\n'),
    );
    expect(table?.headings).deep.equal(['time', 'sun', 'air']);
    expect(table?.units).deep.equal(['', 'W/m²', '°C']);
    expect(table?.rows).length(2);
    expect(table?.firstLine).equal(6);
    expect(table?.rows[0]?.[2]).equal('14,5');
  });
  it('tells semicolons from decimal commas, and knows tabs', () => {
    expect(readTable('t;a;b\n2026-01-01 00:00;1,5;2,5\n2026-01-01 01:00;1,6;2,6')?.headings).length(3);
    expect(readTable('t\ta\n2026-01-01 00:00\t1')?.headings).deep.equal(['t', 'a']);
  });
  it('reads quoted cells and a byte-order mark', () => {
    const table = readTable('\uFEFF"time, local",air\n"2026-01-01 00:00",12');
    expect(table?.headings).deep.equal(['time, local', 'air']);
  });
  it('keeps a broken row where it stands', () => {
    const table = readTable('time,air\n2026-01-01 00:00,12\nbroken\n2026-01-01 02:00,13');
    expect(table?.rows[1]).deep.equal(['broken']);
  });
  it('has no table in prose, in nothing, or in one column', () => {
    for (const text of ['', 'hello', '\n\n', 'a\n1\n2']) expect(readTable(text), text).equal(undefined);
  });
  it('shows five rows at most before anything is read', () => {
    const rows = Array.from({ length: 40 }, (_, hour) => `2026-01-01 ${hour},${hour}`);
    expect(previewTable(['time,air', ...rows].join('\n'))?.rows).length(5);
  });
  it('reads numbers as they are written in cells', () => {
    expect(readCell(' −4,5 ')).equal(-4.5);
    expect(readCell('1e3')).equal(1000);
    expect(readCell('.5')).equal(0.5);
    for (const text of ['', '-', '1 2', '12 °C', 'NaN', '1,000.5']) expect(readCell(text), text).equal(undefined);
  });
});
