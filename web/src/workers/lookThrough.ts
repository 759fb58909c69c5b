import type { Repairs, WeatherMapping, WeatherSite } from '@north-pane/core/sky';
import { proxy, wrap } from 'comlink';
import { beginWork } from '../state/busy';
import type { WeatherLook, WeatherReader } from './weather.worker';

/** Looks a weather file through in a worker of its own. `stop` ends it at once; then `done` never settles. */
export function lookThrough(
  query: { text: string; mapping: WeatherMapping; site: WeatherSite; repairs: Partial<Repairs> },
  onProgress: (share: number) => void,
): { done: Promise<WeatherLook>; stop(): void } {
  const worker = new Worker(new URL('./weather.worker.ts', import.meta.url), { type: 'module' });
  const reader = wrap<WeatherReader>(worker);
  const ended = beginWork();
  const done = reader.read(query.text, query.mapping, query.site, query.repairs, proxy(onProgress)).finally(() => {
    ended();
    worker.terminate();
  });
  return {
    done,
    stop: () => {
      ended();
      worker.terminate();
    },
  };
}
