import { expect } from 'chai';
import * as fc from 'fast-check';
import {
  formatLength,
  formatQuantity,
  type Habit,
  normalsOf,
  nudgeLength,
  parseNumber,
  parseQuantity,
  quantityKinds,
} from '.';

const value = (kind: (typeof quantityKinds)[number], text: string, habit: Habit = 'metric'): number => {
  const parsed = parseQuantity(kind, text, habit);
  if (!parsed.ok) throw new Error(`${text}: ${parsed.message} (at ${parsed.at})`);
  return parsed.value;
};

describe('quantity: reading what people write', () => {
  const lengths: [string, Habit, number][] = [
    ['1032', 'metric', 1.032],
    ['1 032', 'metric', 1.032],
    ['1.032 m', 'metric', 1.032],
    ['103.2cm', 'imperial', 1.032],
    ['1,5 m', 'metric', 1.5],
    ['1,032.5', 'metric', 1.0325],
    [`3' 4 5/8`, 'metric', 40.625 * 0.0254],
    [`3' 4 5/8"`, 'imperial', 40.625 * 0.0254],
    [`3'-4 5/8"`, 'imperial', 40.625 * 0.0254],
    ['3 ft 4 in', 'metric', 40 * 0.0254],
    [`40-5/8"`, 'metric', 40.625 * 0.0254],
    ['40 5/8', 'imperial', 40.625 * 0.0254],
    ['40⅝', 'imperial', 40.625 * 0.0254],
    ['5/64', 'imperial', (5 / 64) * 0.0254],
    ['6.25', 'imperial', 6.25 * 0.0254],
    ["3'", 'metric', 0.9144],
    ['-12', 'metric', -0.012],
    [`-3' 6"`, 'imperial', -42 * 0.0254],
  ];
  for (const [text, habit, metres] of lengths)
    it(`reads the length ${text} (${habit})`, () => expect(value('length', text, habit)).closeTo(metres, 1e-12));

  const others: [Parameters<typeof value>[0], string, Habit, number][] = [
    ['temperature', '104F', 'metric', 40],
    ['temperature', '104', 'imperial', 40],
    ['temperature', '-4 °F', 'metric', -20],
    ['temperature', '-20', 'metric', -20],
    ['temperatureDifference', '18 F', 'metric', 10],
    ['volume', '250 L', 'imperial', 0.25],
    ['volume', '1 gal', 'metric', 0.003785411784],
    ['flow', '2.4', 'metric', 4e-5],
    ['flow', '1 gpm', 'metric', 6.30901964e-5],
    ['pressure', '3.5 bar', 'metric', 350000],
    ['pressure', '1 psi', 'metric', 6894.757],
    ['power', '3412.14 Btu/h', 'metric', 1000],
    ['irradiance', '317 Btu/h·ft²', 'metric', 1000],
    ['energy', '7.9 kWh', 'metric', 28.44e6],
    ['mass', '10 lb', 'metric', 4.5359237],
    ['area', '23.5 sq ft', 'metric', 2.18322],
    ['duration', '3 min', 'metric', 180],
  ];
  for (const [kind, text, habit, si] of others)
    it(`reads the ${kind} ${text} (${habit})`, () => {
      const tolerance = Math.abs(si) * 1e-4 + 1e-12;
      expect(value(kind, text, habit)).closeTo(si, tolerance);
    });

  const wrong: [string, number, RegExp][] = [
    ['', 0, /Nothing/],
    ['abc', 0, /number is missing/],
    ['12 furlongs', 3, /no unit here/],
    ['1,032', 1, /1032 or 1\.032/],
    ['3 4', 2, /two numbers/],
    ['3/0', 2, /0 below the line/],
    ['4" 3\'', 3, /cannot follow/],
    ['1 m 5', 4, /Which unit/],
    ['10 mmm', 3, /no unit here/],
  ];
  for (const [text, at, message] of wrong)
    it(`points at the character that is wrong in “${text}”`, () => {
      const parsed = parseQuantity('length', text, 'metric');
      expect(parsed.ok).equal(false);
      if (parsed.ok) return;
      expect(parsed.message).match(message);
      expect(parsed.at).equal(at);
    });

  it('reads counts and refuses text behind them', () => {
    expect(parseNumber('12')).deep.equal({ ok: true, value: 12 });
    expect(parseNumber('12 risers')).include({ ok: false, at: 3 });
  });
});

describe('quantity: writing', () => {
  it('writes reduced real fractions and carries sixteenths over', () => {
    expect(formatLength(40.625 * 0.0254, 'imperial').text).equal('3′ 4 5/8″');
    expect(formatLength(11.99 * 0.0254, 'imperial').text).equal('1′');
    expect(formatLength(0.5 * 0.0254, 'imperial').text).equal('1/2″');
    expect(formatLength(40.625 * 0.0254, 'imperial', { inchesOnly: true }).text).equal('40 5/8″');
    expect(formatLength(0, 'imperial').text).equal('0″');
  });
  it('writes no minus before a zero', () => expect(formatLength(-1e-6, 'metric').text).equal('0\u00a0mm'));

  it('goes round through text without drifting, in every kind and habit', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...quantityKinds),
        fc.constantFrom<Habit>('metric', 'imperial'),
        fc.double({ min: -500, max: 5000, noNaN: true }),
        (kind, habit, start) => {
          const first = formatQuantity(kind, start, habit).text;
          const again = parseQuantity(kind, first, habit);
          if (!again.ok) throw new Error(`${first}: ${again.message}`);
          expect(formatQuantity(kind, again.value, habit).text).equal(first);
        },
      ),
    );
  });
  it('reads back every length on the tape to 1/64 inch exactly', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 64 * 400 }), (marks) => {
        const metres = (marks / 64) * 0.0254;
        const text = formatLength(metres, 'imperial', { fraction: 64 }).text;
        expect(value('length', text, 'imperial')).closeTo(metres, 1e-12);
      }),
    );
  });
  it('never throws, whatever is typed', () => {
    fc.assert(
      fc.property(fc.string(), fc.constantFrom(...quantityKinds), (text, kind) => {
        const parsed = parseQuantity(kind, text, 'imperial');
        if (parsed.ok) expect(Number.isFinite(parsed.value)).equal(true);
        else expect(parsed.at).within(0, text.length);
      }),
    );
  });
});

describe('quantity: nudging', () => {
  it('lands on the tape mark and comes back', () => {
    expect(nudgeLength(0.104, 'metric', 1)).equal(0.105);
    expect(nudgeLength(0.1043, 'metric', 1)).equal(0.105);
    expect(nudgeLength(0.1043, 'metric', -1)).equal(0.104);
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 5000 }), fc.integer({ min: 1, max: 20 }), (start, marks) => {
        const there = nudgeLength((start / 16) * 0.0254, 'imperial', marks);
        expect(nudgeLength(there, 'imperial', -marks)).closeTo((start / 16) * 0.0254, 1e-7);
      }),
    );
  });
});

describe('quantity: draws by name', () => {
  const rows = (names: readonly string[], seed: number, count: number) =>
    names.map((name) => {
      const draw = normalsOf(name, seed);
      return Array.from({ length: count }, () => draw());
    });
  it('are the same for the same name and seed, and others for another', () => {
    expect(rows(['bond'], 1, 5)).deep.equal(rows(['bond'], 1, 5));
    expect(rows(['bond'], 1, 5)).not.deep.equal(rows(['bone'], 1, 5));
    expect(rows(['bond'], 1, 5)).not.deep.equal(rows(['bond'], 2, 5));
  });
  it('are standard normal, and no two names go together', () => {
    const drawn = rows(['bond', 'transmittance', 'dirt', 'absorptance', 'plate', 'back', 'wind', 'sun'], 1, 4000);
    const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;
    for (const row of drawn) {
      expect(mean(row)).closeTo(0, 0.06);
      expect(mean(row.map((value) => value ** 2))).closeTo(1, 0.08);
    }
    drawn.forEach((row, one) => {
      for (const other of drawn.slice(one + 1))
        expect(mean(row.map((value, index) => value * (other[index] ?? 0)))).closeTo(0, 0.07);
    });
  });
});
