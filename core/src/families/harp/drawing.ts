import { plan } from './plan';
import { section } from './section';

/** Every view of a harp. */
export const harpDrawing = { plan, section };
