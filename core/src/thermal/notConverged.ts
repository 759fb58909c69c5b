/** A balance that did not settle. Never hidden: a figure from it would be invented. */
export class NotConverged extends Error {
  constructor(
    readonly what: string,
    readonly iterations: number,
    readonly residual: number,
  ) {
    super(`${what} did not settle in ${iterations} rounds (last ${residual})`);
    this.name = 'NotConverged';
  }
}
