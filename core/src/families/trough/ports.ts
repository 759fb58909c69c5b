import { tubePorts } from '../kit/ports';
import type { TroughLayout } from './layout';

/** Both ends of the black pipes, which stand in series. */
export function troughPorts(prefix: string, layout: TroughLayout) {
  const { parameters, places, receiverLength, receiver, bearer, seat, pipe } = layout;
  const { troughs, length, height } = parameters;
  const out = (receiverLength - length) / 2;
  const up = bearer.width - seat + pipe.wall + height;
  return tubePorts(prefix, {
    cold: { at: { x: places[0] ?? 0, y: -out }, up },
    hot: { at: { x: places.at(-1) ?? 0, y: troughs % 2 === 1 ? length + out : -out }, up },
    outside: receiver.outerDiameter,
    fitting: 'unions',
  });
}
