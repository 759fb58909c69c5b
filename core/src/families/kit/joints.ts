import { measured } from '../../quantity';
import { bought, type Purchase } from '../../shop';

/** kg/m³. */
const solderDensity = 7400;
/** m. Gap of a capillary joint, and how much of it and its fillet the solder takes beside the bare gap. */
const capillary = 0.0001;
const overfill = 1.5;
/** m. Leg of the fillet round a butt joint. */
const fillet = 0.003;

/** kg of solder in capillary joints of one size. */
export function capillarySolder(query: { joints: number; diameter: number; socket: number }): number {
  return query.joints * Math.PI * query.diameter * query.socket * capillary * overfill * solderDensity;
}

/** kg of solder in fillets round tubes let into a wall. */
export function filletSolder(query: { joints: number; diameter: number }): number {
  return query.joints * (fillet ** 2 / 2) * Math.PI * query.diameter * solderDensity;
}

/** What soldering takes, by the joint. */
export function solderLines(
  prefix: string,
  query: { joints: number; solder: number; rule: string; fluxEach: number },
): Purchase[] {
  const { joints, solder, rule, fluxEach } = query;
  if (joints === 0) return [];
  return [
    bought(prefix, 'joint-solder', 'Lead-free solder for the joints', [solder, 'kg'], {
      priceKey: 'solder',
      rule,
      mass: solder,
    }),
    bought(prefix, 'flux', 'Flux', [joints * fluxEach, 'kg'], {
      priceKey: 'flux',
      rule: `${measured('mass', fluxEach, 3)} a joint`,
      mass: 0,
    }),
  ];
}
