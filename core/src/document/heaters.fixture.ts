import type { Job } from '../document';
import type { HeaterDocument } from '../families';

/** Heaters as a document has them, in the order of a list. */
export function heatersFrom(list: readonly (Partial<HeaterDocument> | undefined)[]): Job['heaters'] {
  return Object.fromEntries(
    list.map((heater, order) => {
      const { id = 'panel-a', ...rest } = heater ?? {};
      return [id, { ...rest, order }];
    }),
  ) as Job['heaters'];
}
