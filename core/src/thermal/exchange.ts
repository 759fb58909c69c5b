/** A face or film that long-wave radiation meets, as shares of what arrives: emitted like absorbed (Kirchhoff), passed, thrown back. */
export interface LongWaveCover {
  emittance: number;
  /** Passed straight through; zero for glass and thick plastics. */
  longWave?: number;
}

/**
 * Exchange factors of a plate under covers that may pass long wave, the sky above as a black body. Every surface is grey and
 * diffuse and as large as its neighbour; the rays thrown to and fro between the covers are summed in closed form (net radiation
 * method, D&B sections 3.8 and 6.4, "covers partially transparent to long wave"; derived here for any number of covers).
 *
 * Surfaces in order: plate, inner and outer face of each cover from the plate outward, sky. `factors[i][j]` is G in
 * q = G σ (T_i⁴ − T_j⁴), W/m²; symmetric, zero on the diagonal. Opaque neighbours give 1 / (1/ε_i + 1/ε_j − 1).
 *
 * Throws RangeError where a cover's emittance and long-wave share exceed 1 together.
 */
export function exchangeFactors(plateEmittance: number, covers: readonly LongWaveCover[]): number[][] {
  for (const { emittance, longWave = 0 } of covers)
    if (emittance + longWave > 1 + 1e-12)
      throw new RangeError(`a cover cannot emit ${emittance} and pass ${longWave} of the long wave`);
  const size = 2 * covers.length + 2;
  return Array.from({ length: size }, (_, source) => {
    const absorbed = absorbedFrom(source, plateEmittance, covers);
    absorbed[source] = 0;
    return absorbed;
  });
}

/** What every surface absorbs, W/m², when one of them would as a black body send out 1 W/m² and the others are at zero. */
function absorbedFrom(source: number, plateEmittance: number, covers: readonly LongWaveCover[]): number[] {
  const count = covers.length;
  const last = 2 * count + 1;
  const emitted = (surface: number, emittance: number) => (surface === source ? emittance : 0);
  // In gap g the upward flux is rising[g] + mirrored[g] × the downward one, from the plate outward.
  const rising = [emitted(0, plateEmittance)];
  const mirrored = [1 - plateEmittance];
  covers.forEach(({ emittance, longWave = 0 }, index) => {
    const thrown = 1 - emittance - longWave;
    const below = rising[index] ?? 0;
    const mirror = mirrored[index] ?? 0;
    const between = 1 - thrown * mirror;
    const inner = emitted(2 * index + 1, emittance);
    const outer = emitted(2 * index + 2, emittance);
    rising.push(outer + longWave * (below + (mirror * (inner + thrown * below)) / between));
    mirrored.push(thrown + (longWave ** 2 * mirror) / between);
  });
  // Back down from the sky.
  const absorbed = new Array<number>(last + 1).fill(0);
  let down = source === last ? 1 : 0;
  absorbed[last] = (rising[count] ?? 0) + (mirrored[count] ?? 0) * down;
  for (let index = count - 1; index >= 0; index -= 1) {
    const { emittance, longWave = 0 } = covers[index] ?? { emittance: 1 };
    const thrown = 1 - emittance - longWave;
    const below = rising[index] ?? 0;
    const mirror = mirrored[index] ?? 0;
    absorbed[2 * index + 2] = emittance * down;
    down = (emitted(2 * index + 1, emittance) + thrown * below + longWave * down) / (1 - thrown * mirror);
    absorbed[2 * index + 1] = emittance * (below + mirror * down);
  }
  absorbed[0] = plateEmittance * down;
  return absorbed;
}
