import type { Finding } from '@north-pane/core/care';
import {
  encodeSeries,
  type MonthlyClimate,
  monthlyMeans,
  type Repairs,
  readWeather,
  type WeatherMapping,
  type WeatherSite,
} from '@north-pane/core/sky';
import { expose } from 'comlink';

/** What a file came to, without the file. */
export interface WeatherLook {
  trouble: string | undefined;
  rows: number;
  refused: { count: number; lines: { line: number; reason: string }[] };
  matters: Finding[];
  /** The series as bytes, ready to be kept, and its monthly means. */
  found:
    | { bytes: Uint8Array<ArrayBuffer>; months: MonthlyClimate; start: number; step: number; length: number }
    | undefined;
}

const mostLines = 200;

const reader = {
  /** Reads a file in its own thread; ending the worker ends the reading. */
  read(
    text: string,
    mapping: WeatherMapping,
    site: WeatherSite,
    repairs: Partial<Repairs>,
    onProgress: (share: number) => void,
  ): WeatherLook {
    const { series, refused, rows, matters, trouble } = readWeather(text, mapping, site, { repairs, onProgress });
    return {
      trouble,
      rows,
      refused: { count: refused.length, lines: refused.slice(0, mostLines) },
      matters,
      found: series && {
        bytes: encodeSeries(series),
        months: monthlyMeans(series, site.zone).months,
        start: series.start,
        step: series.step,
        length: series.length,
      },
    };
  },
};
export type WeatherReader = typeof reader;
expose(reader);
