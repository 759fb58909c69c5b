// How fast this machine is just now, against the one that the limits of the bench are written for.

/** ms that the loop takes on the reference machine when nothing else runs: two cores of the kind that this is built and tested on. */
const reference = 25;

/** A fixed piece of work of the kind that the program does: sums over typed arrays, roots, exponentials and small objects. */
export function referenceLoop() {
  const cells = new Float64Array(4096);
  let sum = 0;
  for (let round = 0; round < 300; round += 1)
    for (let index = 1; index < cells.length; index += 1) {
      const { a, b } = { a: cells[index - 1] ?? 0, b: index / (round + 1) };
      cells[index] = Math.sqrt(a * a + b) * Math.exp(-b / 4096) + 0.5;
      sum += cells[index] ?? 0;
    }
  return sum;
}

/** @returns how many times longer it takes now than on the reference machine: the median of five */
export function machineFactor() {
  const times = Array.from({ length: 5 }, () => {
    const started = performance.now();
    referenceLoop();
    return performance.now() - started;
  });
  return (times.sort((a, b) => a - b)[2] ?? reference) / reference;
}
