import { defaultJob, type Job } from '@north-pane/core/document';
import { type Reading, type ReadingMapping, readReadings, type Sensors } from '@north-pane/core/proof';
import type { Answers, Asked } from '../../shell/station.fixture';
import type { Source } from '../../state/readings';

/** Readings five minutes apart about noon in June at the default place, with a rise that the drawing would give or not. */
export function loggerFile(rise: number, rows = 12): string {
  const lines = Array.from({ length: rows }, (_, index) => {
    const minute = String((index % 12) * 5).padStart(2, '0');
    return `2026-06-21 ${11 + Math.floor(index / 12)}:${minute},18.0,${(18 + rise).toFixed(2)},20.0,880,2.59`;
  });
  return ['time,water in °C,water out °C,air °C,sun W/m²,flow L/min', ...lines].join('\n');
}

const metered: Sensors = { thermometers: 'two digital', flow: 'meter', sun: 'pyranometer' };

/** Columns of `loggerFile`. */
export const loggerMapping: ReadingMapping = {
  time: { column: 'time', zone: 'site' },
  columns: {
    inlet: { column: 'water in °C', unit: '°C' },
    outlet: { column: 'water out °C', unit: '°C' },
    air: { column: 'air °C', unit: '°C' },
    irradiance: { column: 'sun W/m²', unit: 'W/m²' },
    flow: { column: 'flow L/min', unit: 'L/min' },
  },
};

/** Readings of a logger's file, as the server would have read them. */
export function readingsOf(text: string): Reading[] {
  return readReadings(text, loggerMapping, 'UTC').readings;
}

function buildOf(document: Job) {
  const installedFrom = '2020-01-01T12:00:00Z';
  return { id: 1, revisionId: 1, number: 1, note: 'as built', installedFrom, takenBack: null, document };
}

/** A desk where readings lie: what the server keeps of a job, and what it was asked. */
export class Desk {
  readonly asked: Asked[] = [];
  sources: Source[] = [];

  /** @param built what stands there since long ago; nobody has said that anything was built where it is null */
  constructor(private readonly built: Job | null = defaultJob('harp')) {}

  /** Lays readings down under a name. */
  lay(name: string, readings: readonly Reading[], sensors: Sensors = metered): this {
    const there = this.sources.find((one) => one.name === name);
    const all = [...(there?.readings ?? []), ...readings].sort((a, b) => a.time - b.time);
    const source = { id: there?.id ?? this.sources.length + 1, name, sensors, count: all.length, readings: all };
    this.sources = [...this.sources.filter((one) => one.name !== name), source];
    return this;
  }

  /** What the server answers to everything about readings. */
  answers(more: Answers = {}): Answers {
    const heard = (answer: (asked: Asked) => unknown) => (asked: Asked) => {
      this.asked.push(asked);
      return answer(asked);
    };
    return {
      '/readings/import': heard((asked) => this.#file(asked)),
      '/readings': heard((asked) => this.#one(asked)),
      '/builds': () => (this.built ? [buildOf(this.built)] : []),
      ...more,
    };
  }

  #one({ method, query, body }: Asked): unknown {
    if (method === 'POST') {
      const { reading, sensors } = body as { reading: Reading; sensors: Sensors };
      this.lay('by hand', [{ ...reading, sensors }], sensors);
      return { added: 1, known: 0, differing: [] };
    }
    if (method === 'DELETE') {
      const [from, to] = [Number(query.get('from') ?? 0), Number(query.get('to') ?? 4e12)];
      this.sources = this.sources.flatMap((one) => {
        if (one.name !== query.get('source')) return [one];
        const readings = one.readings.filter(({ time }) => time < from || time > to);
        return readings.length > 0 ? [{ ...one, readings, count: readings.length }] : [];
      });
      return { removed: 1 };
    }
    return this.sources;
  }

  #file({ body }: Asked): Response {
    const { text, mapping, source, sensors, keep } = body as {
      text: string;
      mapping: ReadingMapping;
      source: string;
      sensors: Sensors;
      keep: 'nothing' | 'good rows';
    };
    const file = readReadings(text, mapping, 'UTC');
    const lines = (...said: object[]) => new Response(said.map((one) => `${JSON.stringify(one)}\n`).join(''));
    if (file.trouble) return lines({ percent: 40 }, { message: file.trouble, status: 422 });
    const there = new Map(this.sources.find((one) => one.name === source)?.readings.map((one) => [one.time, one]));
    const fresh = file.readings.filter(({ time }) => !there.has(time));
    const same = file.readings.filter(({ time, outlet }) => there.get(time)?.outlet === outlet);
    const differing = file.readings.filter(({ time, outlet }) => there.has(time) && there.get(time)?.outlet !== outlet);
    if (keep === 'good rows') this.lay(source, fresh, sensors);
    const report = {
      kept: keep === 'good rows',
      added: fresh.length,
      known: same.length,
      doubtful: file.doubtful,
      differing: { count: differing.length, times: differing.map(({ time }) => time) },
      refused: { count: file.refused.length, lines: file.refused },
    };
    return lines({ percent: 40 }, { percent: 100 }, { report });
  }
}
