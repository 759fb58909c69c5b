import { expect } from 'chai';
import { previewTable } from '../table';
import { proposeMapping, type ReadingMapping, readReadings } from '.';

describe('proof: files', () => {
  const mapping: ReadingMapping = {
    time: { column: 'time', zone: 'utc' },
    columns: {
      inlet: { column: 'in', unit: '°C' },
      outlet: { column: 'out', unit: '°F' },
      air: { column: 'air', unit: '°C' },
      flow: { column: 'flow', unit: 'gpm' },
      irradiance: { column: 'sun', unit: 'W/m²' },
    },
  };
  const head = 'time,in,out,air,flow,sun';
  const read = (...lines: string[]) => readReadings([head, ...lines].join('\n'), mapping, 'UTC');
  it('reads each column in its own unit', () => {
    const { readings: rows, refused } = read('2026-02-09 10:00,18,77,20,1,900');
    expect(refused).deep.equal([]);
    expect(rows[0]).deep.include({ time: Date.UTC(2026, 1, 9, 10), inlet: 18, air: 20, irradiance: 900 });
    expect(rows[0]?.outlet).closeTo(25, 1e-9);
    expect(rows[0]?.flow).closeTo(6.309e-5, 1e-8);
  });
  const bad: [line: string, reason: RegExp][] = [
    ['2026-02-09 10:00,warm,77,20,1,900', /inlet “warm” is not a number/],
    ['nonsense,18,77,20,1,900', /time “nonsense”/],
    ['2026-02-09 10:00,18,,20,1,900', /outlet is empty/],
    ['2026-02-09 10:00,18,77,20,1,99999', /irradiance 99999 W\/m² is not believable/],
    ['2026-02-09 10:00,18,77,20,-1,900', /flow -1 gpm is not believable/],
  ];
  for (const [line, reason] of bad)
    it(`refuses “${line}” by its number and reason, and keeps the rest`, () => {
      const { readings: rows, refused } = read('2026-02-09 09:55,18,77,20,1,900', line);
      expect(rows).length(1);
      expect(refused).length(1);
      expect(refused[0]?.line).equal(3);
      expect(refused[0]?.reason).match(reason);
    });
  it('refuses a time that stands twice, passes blank lines, takes a missing sun', () => {
    const { readings: rows, refused } = read('2026-02-09 10:00,18,77,20,1,', '', '2026-02-09 10:00,18,77,20,1,900');
    expect(rows).length(1);
    expect(rows[0]).not.property('irradiance');
    expect(refused[0]?.reason).match(/line 2/);
  });
  it('says what is wrong with a whole file', () => {
    expect(readReadings('a,b\n1,2', mapping, 'UTC').trouble).match(/no column “time”, “in”|no column “time”/);
    expect(readReadings(head, mapping, 'UTC').trouble).match(/no rows/);
    expect(readReadings('\0\0PK', mapping, 'UTC').trouble).match(/no text file/);
    expect(readReadings(`${head}\n1,2,3,4,5,6`, { ...mapping, columns: {} }, 'UTC').trouble).match(
      /inlet, outlet, air, flow/,
    );
  });
  it('reads semicolons and decimal commas', () => {
    const text = [head.replaceAll(',', ';'), '2026-02-09 10:00;18,5;77;20;1;900'].join('\r\n');
    expect(readReadings(text, mapping, 'UTC').readings[0]?.inlet).equal(18.5);
  });
  it('proposes a mapping from headings, with their units', () => {
    const table = previewTable(
      'Time (UTC),Water in °F,Water out °F,Air °F,Sun W/m²,Flow gpm,Wind mph\n1,2,3,4,5,6,7\n',
    );
    const proposal = proposeMapping(table ?? { headings: [] });
    expect(proposal.time).deep.equal({ column: 'Time (UTC)', zone: 'utc' });
    expect(proposal.columns.inlet).deep.equal({ column: 'Water in °F', unit: '°F' });
    expect(proposal.columns.flow).deep.equal({ column: 'Flow gpm', unit: 'gpm' });
    expect(proposal.columns.wind?.unit).equal('mph');
  });
  it('finds water in and out under short headings', () => {
    const { columns } = proposeMapping({ headings: ['time', 'in', 'out', 'outside', 'flow'] });
    expect([columns.inlet?.column, columns.outlet?.column, columns.air?.column]).deep.equal(['in', 'out', 'outside']);
  });
  it('passes over a row of units under the headings, and counts lines from the top of the file', () => {
    const text = [head, ',°C,°F,°C,gpm,W/m²', '2026-02-09 10:00,18,77,20,1,900', '2026-02-09 10:01,hot,77,20,1,900'];
    const { readings: rows, refused } = readReadings(text.join('\n'), mapping, 'UTC');
    expect(rows).length(1);
    expect(refused.map(({ line }) => line)).deep.equal([4]);
  });
  it('refuses short rows before the first whole one by their own lines', () => {
    const { readings: rows, refused } = read('2026-02-09 10:00,18', '2026-02-09 10:01,18,77,20,1,900');
    expect(rows).length(1);
    expect(refused).deep.equal([{ line: 2, reason: 'outlet is empty' }]);
  });
  it('asks what the comma of 1,050 is, and takes the answer', () => {
    const line = '2026-02-09 10:00;18;77;20;1;1,050';
    const text = [head, line].map((one) => one.replaceAll(/,(?=[a-z])/g, ';')).join('\n');
    const asked = readReadings(text, mapping, 'UTC');
    expect(asked.readings).deep.equal([]);
    expect(asked.doubtful).equal(1);
    expect(asked.refused[0]?.reason).match(/thousands or for decimals.*Decimals/);
    const sun = (decimal: 'point' | 'comma') =>
      readReadings(text, { ...mapping, decimal }, 'UTC').readings[0]?.irradiance;
    expect(sun('point')).equal(1050);
    expect(sun('comma')).equal(1.05);
  });
  it('takes a day before its month where told, and proposes that from the dates', () => {
    const dayFirst = [head, '9/2/2026 10:00,18,77,20,1,900', '23/2/2026 10:00,18,77,20,1,900'].join('\n');
    expect(readReadings(dayFirst, mapping, 'UTC').readings).deep.equal([]);
    const proposed = proposeMapping(previewTable(dayFirst) ?? { headings: [] }).time;
    expect(proposed?.order).equal('dmy');
    const told = { ...mapping, time: { ...mapping.time, order: proposed?.order ?? 'ymd' } };
    expect(readReadings(dayFirst, told, 'UTC').readings.map(({ time }) => time)).deep.equal([
      Date.UTC(2026, 1, 9, 10),
      Date.UTC(2026, 1, 23, 10),
    ]);
  });
  it('keeps a logger’s standard time through the summer', () => {
    const line = '2026-02-09 10:00,18,77,20,1,900';
    const at = (zone: 'site' | 'standard') =>
      readReadings([head, line].join('\n'), { ...mapping, time: { column: 'time', zone } }, 'Pacific/Auckland')
        .readings[0]?.time;
    expect((at('standard') ?? 0) - (at('site') ?? 0)).equal(3_600_000);
  });
  it('takes -9999 and words for nothing as nothing: a needed cell refused, a sun left out', () => {
    const { readings: rows, refused } = read(
      '2026-02-09 10:00,18,77,20,1,-9999',
      '2026-02-09 10:01,-9999,77,20,1,900',
      '2026-02-09 10:02,18,77,NaN,1,900',
      '2026-02-09 10:03,18,77,20,1,n/a',
    );
    expect(rows.map(({ irradiance }) => irradiance)).deep.equal([undefined, undefined]);
    expect(refused).deep.equal([
      { line: 3, reason: 'inlet “-9999” says that nothing was measured' },
      { line: 4, reason: 'air “NaN” says that nothing was measured' },
    ]);
  });
  it('refuses years that are mistyped', () => {
    const { readings: rows, refused } = read('0226-02-09 10:00,18,77,20,1,900', '2206-02-09 10:00,18,77,20,1,900');
    expect(rows).deep.equal([]);
    expect(refused.map(({ line }) => line)).deep.equal([2, 3]);
    for (const { reason } of refused) expect(reason).match(/1990 and 2100|is not written as/);
  });
  it('tells the line of a quotation mark that does not close, and reads the lines under it', () => {
    const { readings: rows, refused } = read(
      '"2026-02-09 10:00",18,77,20,1,900',
      '"2026-02-09 10:01,18,77,20,1,900',
      '2026-02-09 10:02,18,77,20,1,900',
      '2026-02-09 10:03,18,77,20,1,"9""00',
      '2026-02-09 10:04,18,77,20,1,"900"',
    );
    expect(rows.map(({ time }) => new Date(time).getUTCMinutes())).deep.equal([0, 2, 4]);
    expect(refused.map(({ line }) => line)).deep.equal([3, 5]);
    for (const { reason } of refused) expect(reason).match(/quotation mark/);
  });
  it('ends on what no logger writes, a hundred thousand signs in one cell, and says so in a short line', () => {
    const many = 100_000;
    const cells = [' ', '9', '-', '.', '1,', '°', 'e', '1:', '"', '\t', '\u00a0'].map((sign) => sign.repeat(many));
    for (const cell of cells) {
      for (const at of [0, 1, 4]) {
        const row = ['2026-02-09 10:01', '18', '77', '20', '1', '900'];
        row[at] = at === 1 ? `${cell}x${cell}` : cell;
        const { readings: rows, refused, trouble } = read('2026-02-09 10:00,18,77,20,1,900', row.join(','));
        expect(trouble).equal(undefined);
        expect(rows, `${cell[0]} in ${at}`).length(1);
        expect(refused, `${cell[0]} in ${at}`).length(1);
        expect(refused[0]?.line).equal(3);
        expect(refused[0]?.reason.length).below(200);
      }
    }
  });
});
