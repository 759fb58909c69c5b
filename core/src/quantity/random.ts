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

/** 32 bits of a text: FNV-1a (Fowler, Noll and Vo), stirred so that texts alike but for a letter lie far apart (Murmur3's finish). */
function hashOf(text: string): number {
  let hash = 0x811c9dc5;
  for (let index = 0; index < text.length; index += 1) hash = Math.imul(hash ^ text.charCodeAt(index), 0x01000193);
  hash = Math.imul(hash ^ (hash >>> 16), 0x85ebca6b);
  hash = Math.imul(hash ^ (hash >>> 13), 0xc2b2ae35);
  return (hash ^ (hash >>> 16)) >>> 0;
}

/** Standard normal deviates of something by its name: a row of its own for each name, whatever else is drawn beside it. */
export function normalsOf(name: string, seed: number): () => number {
  return randomNormal.source(randomLcg((hashOf(`${seed} ${name}`) + 0.5) / 2 ** 32))(0, 1);
}
