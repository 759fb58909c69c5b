import { expect } from 'chai';
import * as fc from 'fast-check';
import { previewTable } from '../../table';
import {
  BrokenSeries,
  decodeSeries,
  encodeSeries,
  gapsOf,
  monthlyMeans,
  proposeWeather,
  type ReadOptions,
  readWeather,
  sayWeather,
  type WeatherMapping,
  type WeatherSeries,
  weatherUnits,
} from '.';
import { loggerLines, reach, reachYear } from './made.fixture';

function read(lines: readonly string[], patch: Partial<WeatherMapping['time']> = {}, options: ReadOptions = {}) {
  const text = lines.join('\n');
  const table = previewTable(text);
  if (!table) throw new Error('no table');
  const { time, columns } = proposeWeather(table).mapping;
  if (!time) throw new Error('no time');
  return readWeather(text, { time: { ...time, ...patch }, columns }, reach, options);
}
const codes = (file: ReturnType<typeof readWeather>) => file.matters.map(({ code }) => code);
const matter = (file: ReturnType<typeof readWeather>, code: string) => {
  const found = file.matters.find((one) => one.code === code);
  if (!found) throw new Error(`no ${code} among ${codes(file)}`);
  return found;
};

describe('sky: the mapping a weather file suggests', () => {
  const propose = (...lines: string[]) => {
    const table = previewTable(lines.join('\n'));
    if (!table) throw new Error('no table');
    return proposeWeather(table);
  };
  it('knows short names and parts of the time in columns of their own', () => {
    const { mapping } = propose(
      'Year,Month,Day,Hour,Minute,DNI,DHI,GHI,Dew Point,Temperature,Wind Direction,Wind Speed,Cloud Cover',
      '2020,1,1,0,30,0,0,0,5,10,200,2,0.4',
    );
    expect(mapping.time?.columns).deep.equal(['Year', 'Month', 'Day', 'Hour', 'Minute']);
    expect(mapping.columns.beamNormal?.column).equal('DNI');
    expect(mapping.columns.global?.column).equal('GHI');
    expect(mapping.columns.wind?.column).equal('Wind Speed');
    expect(mapping.columns.cloud?.unit).equal('0 to 1');
  });
  it('reads units from headings and from a row under them', () => {
    const { mapping } = propose('Time (UTC);Global radiation;T_air;wind', ';kJ/m²;°F;mph', '2025-01-01 00:00;0;40;3');
    expect(mapping.time?.clock).equal('utc');
    expect(mapping.columns.global?.unit).equal('kJ/m² an interval');
    expect(mapping.columns.air?.unit).equal('°F');
    expect(mapping.columns.wind?.unit).equal('mph');
  });
  it('leaves alone what does not lie on the flat', () => {
    const { mapping } = propose('time,solar zenith,plane irradiance,solar radiation,temp', '2025-01-01 00:00,90,1,2,3');
    expect(mapping.columns.global?.column).equal('solar radiation');
  });
  it('tells the day from the month where it can, and asks where it cannot', () => {
    expect(propose('date,time,sun,temp', '13/1/2025,01:00,0,4')).nested.include({
      'mapping.time.order': 'dmy',
      orderUnsure: false,
    });
    expect(propose('date,time,sun,temp', '1/13/2025,01:00,0,4')).nested.include({
      'mapping.time.order': 'mdy',
      orderUnsure: false,
    });
    expect(propose('date,time,sun,temp', '1/2/2025,01:00,0,4').orderUnsure).equal(true);
  });
  it('has units for every column, the usual one first', () => {
    expect(weatherUnits('global')[0]).equal('W/m²');
    expect(weatherUnits('humidity')).deep.equal(['%', '0 to 1']);
  });
});

describe('sky: reading a weather file', () => {
  it('gives back the year that was written, with nothing to remark but the split', () => {
    const file = read(loggerLines());
    expect(file.trouble).equal(undefined);
    expect(file.refused).deep.equal([]);
    expect(codes(file)).deep.equal(['weather-split']);
    expect(file.series?.start).equal(reachYear().start);
    expect(file.series?.length).equal(8760);
    const off =
      file.series?.columns.global?.map((value, hour) => value - (reachYear().columns.global?.[hour] ?? 0)) ?? [];
    expect(Math.max(...off.map(Math.abs))).below(0.006);
  });
  it('refuses a broken line by its number and leaves its hour open, or bridged where that is asked', () => {
    const lines = loggerLines();
    lines[4000] = 'the mouse ate this';
    lines[5000] = lines[5000]?.replace(/,[^,]*/, ',lots') ?? '';
    const file = read(lines);
    expect(file.refused.map(({ line }) => line)).deep.equal([4001, 5001]);
    expect(file.refused[1]?.reason).match(/sun on the flat “lots” is not a number/);
    expect(file.rows).equal(8758);
    expect(matter(file, 'weather-gaps').values).include({ count: 2, longest: 3600 });
    expect(file.series && gapsOf(file.series)).include({ missing: 2 });
    const bridged = read(lines, {}, { repairs: { bridge: true } });
    expect(bridged.series && gapsOf(bridged.series).missing).equal(0);
  });
  it('bridges a lost day by its neighbours, by the height of the sun, and leaves a lost fortnight open', () => {
    const day = loggerLines();
    day.splice(24 * 40, 24);
    const bridged = read(day, {}, { repairs: { bridge: true } }).series;
    const lost = bridged?.columns.global?.slice(24 * 40 - 1, 24 * 41 - 1) ?? new Float32Array();
    expect(Math.max(...lost)).within(100, 1200);
    const fortnight = loggerLines();
    fortnight.splice(24 * 40, 24 * 14);
    expect(gapsOf(read(fortnight, {}, { repairs: { bridge: true } }).series as WeatherSeries).longest).equal(24 * 14);
  });
  const clocks: [
    what: string,
    lines: () => string[],
    patch: Partial<WeatherMapping['time']>,
    clock: string,
    stamp: string,
  ][] = [
    ['stamped at the end', () => loggerLines({ lateMinutes: 60 }), {}, 'site', 'end'],
    ['stamped in the middle', () => loggerLines({ lateMinutes: 30 }), {}, 'site', 'middle'],
    ['UTC read as the site’s clock', () => loggerLines({ clock: 'utc' }), {}, 'utc', 'start'],
    ['the site’s clock read as UTC', () => loggerLines(), { clock: 'utc' }, 'site', 'start'],
    ['summer time overlooked', () => loggerLines(), { clock: 'standard' }, 'site', 'start'],
  ];
  for (const [what, lines, patch, clock, stamp] of clocks)
    it(`finds by the sun that the clock is meant otherwise: ${what}`, () => {
      expect(matter(read(lines(), patch), 'weather-clock-misread').values).include({ clock, stamp });
      expect(codes(read(lines(), { ...patch, clock: clock as 'utc', stamp: stamp as 'end' }))).not.include(
        'weather-clock-misread',
      );
    });
  it('finds a clock that runs late, and moves it when asked', () => {
    const lines = loggerLines({ lateMinutes: 20 });
    expect(matter(read(lines), 'weather-clock-shifted').values.shift).equal(-20);
    const moved = read(lines, {}, { repairs: { shiftMinutes: -20 } });
    expect(codes(moved)).not.include('weather-clock-shifted');
    expect(moved.series?.start).equal(reachYear().start);
  });
  it('does not take clouds for a shifted clock', () => {
    const lines = loggerLines().map((line) => {
      const [time = '', sun = '', ...rest] = line.split(',');
      const dull = Number(time.slice(11, 13)) >= 14 && Number(time.slice(8, 10)) % 3 > 0;
      return [time, dull ? String(Number(sun) * 0.4) : sun, ...rest].join(',');
    });
    expect(codes(read(lines))).not.include('weather-clock-shifted');
  });
  it('remarks sun by night, beams stronger than above the air, and values that cannot be; clears them when asked', () => {
    const lines = loggerLines();
    const put = (line: number, sun: string) => {
      const cells = lines[line]?.split(',') ?? [];
      lines[line] = [cells[0], sun, ...cells.slice(2)].join(',');
    };
    for (const hour of [1, 2, 25]) put(hour, '300');
    put(13, '1580');
    put(24 * 180 + 12, '99999.5');
    const file = read(lines);
    expect(matter(file, 'weather-sun-at-night').values.count).equal(3);
    expect(matter(file, 'weather-too-strong').values.count).equal(1);
    expect(matter(file, 'weather-impossible').values.count).equal(1);
    const { series } = read(lines, {}, { repairs: { clear: true } });
    expect(series?.columns.global?.[0]).equal(0);
    expect(series?.columns.global?.[12]).satisfies(Number.isNaN);
    expect(file.series?.columns.global?.[0]).equal(300);
  });
  it('passes over what loggers write for nothing', () => {
    const lines = loggerLines();
    for (const [index, word] of ['', 'NaN', '-999', '-9999.0', 'N/A', '--'].entries()) {
      const cells = lines[100 + index]?.split(',') ?? [];
      lines[100 + index] = [cells[0], cells[1], word, ...cells.slice(3)].join(',');
    }
    const file = read(lines);
    expect(file.refused).deep.equal([]);
    expect(matter(file, 'weather-gaps').values).include({ longest: 6 * 3600 });
  });
  it('lays months of many years in one when asked', () => {
    const lines = loggerLines().map((line) =>
      line.replace(/^2025-(\d\d)/, (_, month) => `${2005 + (Number(month) % 7)}-${month}`),
    );
    const apart = read(lines);
    expect(matter(apart, 'weather-years-mixed').severity).equal('caution');
    const laid = read(lines, {}, { repairs: { oneYear: true } });
    expect(codes(laid)).not.include('weather-years-mixed');
    expect(laid.series?.length).within(8700, 8790);
  });
  it('says so when a file reaches a few months only, and guesses the others between', () => {
    const file = read(loggerLines({ days: 59 }));
    expect(matter(file, 'weather-short').values.months).equal(2);
    const { months, seen } = monthlyMeans(file.series as WeatherSeries, reach.zone);
    expect(seen.filter(Boolean)).length(2);
    expect(months.air.every(Number.isFinite)).equal(true);
  });
  const hopeless: [what: string, text: string, words: RegExp][] = [
    ['no text', 'a\0b', /no text file/],
    ['no rows', 'time,sun,air\n', /no rows/],
    [
      'daily rows',
      [
        'time,sun,air',
        ...Array.from(
          { length: 40 },
          (_, day) => `2025-${day < 28 ? '01' : '02'}-${String((day % 28) + 1).padStart(2, '0')} 12:00,100,5`,
        ),
      ].join('\n'),
      /minutes apart/,
    ],
    [
      'half a day',
      ['time,sun,air', ...Array.from({ length: 12 }, (_, hour) => `2025-01-01 ${hour}:00,100,5`)].join('\n'),
      /a day at least/,
    ],
    [
      'a wrong year',
      [
        'time,sun,air',
        ...Array.from(
          { length: 30 },
          (_, hour) => `${hour === 29 ? 2525 : 2025}-01-0${hour < 24 ? 1 : 2} ${hour % 24}:00,100,5`,
        ),
      ].join('\n'),
      /eleven at most/,
    ],
  ];
  for (const [what, text, words] of hopeless)
    it(`says what is wrong with ${what}`, () => {
      const mapping: WeatherMapping = {
        time: { columns: ['time'], order: 'ymd', clock: 'site', stamp: 'start' },
        columns: { global: { column: 'sun', unit: 'W/m²' }, air: { column: 'air', unit: '°C' } },
      };
      const file = readWeather(text, mapping, reach);
      expect(file.series).equal(undefined);
      expect(file.trouble).match(words);
    });
  it('asks for the columns it cannot do without, and names those that are not there', () => {
    const text = loggerLines({ days: 2 }).join('\n');
    const time: WeatherMapping['time'] = { columns: ['time'], order: 'ymd', clock: 'site', stamp: 'start' };
    const sun = { column: 'GHI W/m2', unit: 'W/m²' };
    expect(readWeather(text, { time, columns: {} }, reach).trouble).match(/holds the sun/);
    expect(readWeather(text, { time, columns: { global: sun } }, reach).trouble).match(/temperature of the air/);
    expect(readWeather(text, { time, columns: { global: { ...sun, column: 'rain' } } }, reach).trouble).match(
      /no column “rain”/,
    );
  });
  it('turns sums over an interval into means', () => {
    const lines = [
      'time,sun kJ/m2,air',
      ...Array.from(
        { length: 48 },
        (_, half) =>
          `2025-01-0${half < 47 ? 1 : 2} ${String(Math.floor(half / 2) % 24).padStart(2, '0')}:${half % 2 ? '30' : '00'},${half > 20 && half < 30 ? 1800 : 0},10`,
      ),
    ];
    const { series } = read(lines);
    expect(series?.step).equal(1800);
    expect(series?.columns.global?.[25]).closeTo(1000, 1e-3);
  });
  it('has words for every matter, in both habits', () => {
    const lines = loggerLines({ lateMinutes: 20, days: 100 });
    lines.splice(500, 40);
    for (const finding of read(lines).matters)
      for (const habit of ['metric', 'imperial'] as const) {
        const { headline, detail, remedy } = sayWeather(finding, habit);
        expect(headline.length * detail.length * remedy.length).above(0);
        expect(`${detail}${remedy}`).not.match(/NaN|undefined/);
      }
  });
  it('tells how far it is', () => {
    const told: number[] = [];
    read(loggerLines(), {}, { onProgress: (share) => told.push(share) });
    expect(told[told.length - 1]).equal(1);
    expect(told).deep.equal([...told].sort((a, b) => a - b));
  });
});

describe('sky: a series as bytes', () => {
  it('comes back within half a grain, gaps and all', () => {
    const { series } = read(loggerLines({ days: 30 }));
    if (!series) throw new Error('no series');
    const air = series.columns.air as Float32Array;
    air[5] = Number.NaN;
    const back = decodeSeries(encodeSeries(series));
    expect(back).include({ start: series.start, step: 3600, length: 720 });
    expect(back.columns.air?.[5]).satisfies(Number.isNaN);
    for (let hour = 0; hour < 720; hour += 1) {
      if (hour !== 5) expect(back.columns.air?.[hour]).closeTo(air[hour] ?? 0, 0.0051);
      expect(back.columns.global?.[hour]).closeTo(series.columns.global?.[hour] ?? 0, 0.0251);
    }
  });
  it('refuses bytes that are cut short, strange, or hold what cannot be', () => {
    const bytes = encodeSeries(reachYear());
    for (const broken of [bytes.slice(0, 10), bytes.slice(0, -2), new Uint8Array(100)])
      expect(() => decodeSeries(broken)).throw(BrokenSeries);
    const view = (change: (view: DataView) => void) => {
      const copy = bytes.slice();
      change(new DataView(copy.buffer));
      return () => decodeSeries(copy);
    };
    expect(view((data) => data.setUint32(4, 7, true))).throw(/divide the hour/);
    expect(view((data) => data.setUint32(16, 4e9, true))).throw(/too long/);
    expect(view((data) => data.setFloat64(8, Number.NaN, true))).throw(/no time/);
    expect(view((data) => data.setInt16(24, -500, true))).throw(/not believable/);
    expect(view((data) => data.setUint32(20, 0, true))).throw(/nothing known/);
  });
  it('never takes noise for a series', () => {
    fc.assert(
      fc.property(fc.uint8Array({ maxLength: 200 }), (bytes) => {
        expect(() => decodeSeries(bytes)).throw(BrokenSeries);
      }),
    );
  });
});
