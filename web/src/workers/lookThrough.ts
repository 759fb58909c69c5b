import type { Repairs, WeatherMapping, WeatherSite } from '@north-pane/core/sky';
import { proxy } from 'comlink';
import { beginWork } from '../state/busy';
import { workerCalls } from './remote';
import type { WeatherLook, WeatherReader } from './weather.worker';

/** Looks a weather file through in a worker of its own. `stop` ends it at once; then `done` never settles. */
export function lookThrough(
  query: { text: string; mapping: WeatherMapping; site: WeatherSite; repairs: Partial<Repairs> },
  onProgress: (share: number) => void,
): { done: Promise<WeatherLook>; stop(): void } {
  const calls = workerCalls<WeatherReader>(
    () => new Worker(new URL('./weather.worker.ts', import.meta.url), { type: 'module' }),
  );
  const ended = beginWork();
  const { text, mapping, site, repairs } = query;
  const done = calls
    .call((reader) => reader.read(text, mapping, site, repairs, proxy(onProgress)))
    .finally(() => {
      ended();
      calls.end();
    });
  return {
    done,
    stop: () => {
      ended();
      calls.end();
    },
  };
}
