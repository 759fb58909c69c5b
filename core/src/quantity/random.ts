import { randomLcg, randomNormal } from 'd3-random';

/** Evenly spread numbers in [0, 1) from a seed; the same seed gives the same row. */
export function evenly(seed: number): () => number {
  // The generator takes a seed in [0, 1); whole numbers are spread over it.
  return randomLcg((Math.abs(seed) % 65536) / 65536 + 1e-6);
}

/** Standard normal deviates from a seed; the same seed gives the same row. */
export function normals(seed: number): () => number {
  return randomNormal.source(evenly(seed))(0, 1);
}
