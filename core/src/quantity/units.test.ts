import { expect } from 'chai';
import {
  formatChange,
  formatCount,
  formatIn,
  formatLength,
  formatMoney,
  formatNumber,
  formatQuantity,
  formatRough,
  fromSI,
  habitUnit,
  quantityKinds,
  signed,
  tapeMark,
  toSI,
  toTapeMark,
  unitOf,
  unitSymbols,
} from '.';
import { definitions } from './units';

const plain = (text: string | undefined) => text?.replaceAll('\u00a0', ' ');

describe('quantity: factors (NIST SP 811, appendix B)', () => {
  const rows: [kind: Parameters<typeof unitOf>[0], symbol: string, si: number][] = [
    ['length', 'in', 0.0254],
    ['length', 'ft', 0.3048],
    ['area', 'ft²', 0.09290304],
    ['volume', 'gal', 3.785411784e-3],
    ['mass', 'lb', 0.45359237],
    ['flow', 'gpm', 6.30901964e-5],
    ['pressure', 'psi', 6894.757293],
    ['pressure', 'inH₂O', 249.0889],
    ['energy', 'Btu', 1055.05585262],
    ['energy', 'kWh', 3.6e6],
    ['power', 'Btu/h', 0.29307107],
    ['irradiance', 'Btu/h·ft²', 3.154591],
    ['heatLoss', 'Btu/h·ft²·°F', 5.678263],
    ['speed', 'mph', 0.44704],
  ];
  for (const [kind, symbol, si] of rows)
    it(`1 ${symbol} is ${si}`, () => expect(toSI(1, unitOf(kind, symbol)) / si).closeTo(1, 2e-7));
  it('turns temperatures about their offset and differences without it', () => {
    expect(toSI(212, unitOf('temperature', '°F'))).closeTo(100, 1e-12);
    expect(fromSI(-40, unitOf('temperature', '°F'))).closeTo(-40, 1e-12);
    expect(toSI(9, unitOf('temperatureDifference', '°F'))).closeTo(5, 1e-12);
  });
  it('goes there and back in every unit of every kind', () => {
    for (const kind of quantityKinds)
      for (const symbol of unitSymbols(kind))
        expect(fromSI(toSI(12.5, unitOf(kind, symbol)), unitOf(kind, symbol)), symbol).closeTo(12.5, 1e-9);
  });
  it('has a unit for each habit, its symbol first among the metric ones, no name twice in a kind', () => {
    for (const kind of quantityKinds) {
      expect(unitSymbols(kind)[0]).equal(habitUnit(kind, 'metric').symbol);
      const names = definitions[kind].units.flatMap((unit) => [...new Set([unit.symbol.toLowerCase(), ...unit.names])]);
      expect(new Set(names).size, kind).equal(names.length);
    }
    expect(() => unitOf('length', 'furlong')).throw(RangeError, 'furlong');
  });
});

describe('quantity: writing numbers', () => {
  const numbers: [value: number, digits: number, text: string][] = [
    [0, 0, '0'],
    [999, 0, '999'],
    [1872, 0, '1 872'],
    [1234567.891, 2, '1 234 567.89'],
    [-0.04, 1, '0.0'],
    [-1500, 0, '−1 500'],
  ];
  for (const [value, digits, text] of numbers)
    it(`${value} as ${text}`, () => expect(plain(formatNumber(value, digits))).equal(text));
  const lengths: [metres: number, text: string][] = [
    [0.0254 / 16, '1/16″'],
    [0.0254 * 0.75, '3/4″'],
    [0.3048, '1′'],
    [0.3048 + 0.0254 / 2, '1′ 1/2″'],
    [2.0447, '6′ 8 1/2″'],
    [-0.1016, '−4″'],
    [0.0254 * 11.999, '1′'],
  ];
  for (const [metres, text] of lengths)
    it(`${metres} m on the tape as ${text}`, () => expect(formatLength(metres, 'imperial').text).equal(text));
  const thin: [metres: number, habit: 'metric' | 'imperial', text: string][] = [
    [0.0003, 'metric', '0.3\u00a0mm'],
    [0.00005, 'metric', '0.05\u00a0mm'],
    [0.0007, 'metric', '0.7\u00a0mm'],
    [-0.0004, 'metric', '−0.4\u00a0mm'],
    [0.001, 'metric', '1\u00a0mm'],
    [0.0014, 'metric', '1\u00a0mm'],
    [0.000001, 'metric', '0\u00a0mm'],
    [0, 'metric', '0\u00a0mm'],
    [0.0254 / 32, 'imperial', '1/32″'],
    [0.0254 / 64, 'imperial', '1/64″'],
    [0.0254 * 0.012, 'imperial', '0.012″'],
    [-0.0254 * 0.012, 'imperial', '−0.012″'],
    [0.0254 / 16, 'imperial', '1/16″'],
  ];
  for (const [metres, habit, text] of thin)
    it(`${metres} m, thinner than a mark of the ${habit} tape, as ${text}`, () =>
      expect(formatLength(metres, habit).text).equal(text));
  it('fine lengths keep their tenths, and show hundredths where tenths would be nothing', () => {
    expect(formatLength(0.00004, 'metric', { decimals: 1 }).text).equal('0.04\u00a0mm');
    expect(formatLength(0.0253, 'metric', { decimals: 1 }).text).equal('25.3\u00a0mm');
  });
  it('a thin length as a quantity too', () => {
    expect(plain(formatQuantity('length', 0.0007, 'metric').text)).equal('0.7 mm');
    expect(plain(formatQuantity('length', 1.8724, 'metric').text)).equal('1 872 mm');
    expect(plain(formatQuantity('length', 0.0007, 'metric', 2).text)).equal('0.70 mm');
  });
  it('counts a thing by its name', () => {
    expect(formatCount(1, 'reading')).equal('1 reading');
    expect(formatCount(0, 'reading')).equal('0 readings');
    expect(plain(formatCount(1200, 'entry', 'entries'))).equal('1 200 entries');
  });
  it('a length with decimals, bare, or fine', () => {
    expect(formatLength(0.01525, 'metric', { decimals: 1 }).text).equal('15.3\u00a0mm');
    expect(formatLength(1.872, 'metric', { bare: true }).text).equal('1\u00a0872');
    expect(formatLength((5 / 64) * 0.0254, 'imperial', { fraction: 64 }).text).equal('5/64″');
  });
  it('a quantity in its habit, or in a unit by name', () => {
    expect(plain(formatQuantity('irradiance', 800, 'imperial').text)).equal('254 Btu/h·ft²');
    expect(formatQuantity('angle', 41, 'metric').text).equal('41°');
    expect(plain(formatIn('energy', 36e6, 'MJ').text)).equal('36.0 MJ');
    expect(plain(formatRough('insolation', 6.9e9, 'imperial').text)).equal('608 000 Btu/ft²');
    expect(plain(formatRough('insolation', 1381.4 * 3.6e6, 'metric').text)).equal('1 380 kWh/m²');
    expect(plain(formatRough('insolation', 5.34 * 3.6e6, 'metric').text)).equal('5.3 kWh/m²');
    expect(plain(formatRough('insolation', 0, 'metric').text)).equal('0.0 kWh/m²');
  });
  it('a change with its sign and without its unit, or nothing when nothing shows', () => {
    expect(formatChange('temperature', 10, 'imperial', 0)).equal('+18');
    expect(formatChange('area', -0.204, 'metric')).equal('−0.20');
    expect(formatChange('area', 0.004, 'metric')).equal(undefined);
    expect(signed(1234, 0)).equal('+1\u00a0234');
  });
  it('money with its label', () => {
    expect(plain(formatMoney(1688.4, '$'))).equal('$ 1 688');
    expect(plain(formatMoney(3.5, 'kr'))).equal('kr 3.50');
    expect(plain(formatMoney(12, '£'))).equal('£ 12');
  });
  it('tape marks: a millimetre and a sixteenth', () => {
    expect(tapeMark('metric')).equal(0.001);
    expect(tapeMark('imperial')).closeTo(0.0015875, 1e-12);
    expect(toTapeMark(0.10444, 'metric')).equal(0.104);
    expect(toTapeMark(0.1, 'imperial')).closeTo(0.1000125, 1e-8);
  });
});
