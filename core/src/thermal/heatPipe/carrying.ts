import { risingRoot } from '../root';
import type { Built } from './build';
import type { HeatPipeDescription } from './description';
import { dryOutTemperature, floodingLimit } from './limits';

/** What one tube meets: its loss by the temperature of its wall, W; air, °C; W kept; share that its strip gathers; no wall is hotter than `high`. */
export interface Meets {
  one: Built;
  loss(wall: number): number;
  air: number;
  kept: number;
  share: number;
  high: number;
}

/** One tube at work: its wall, what it carries up, the water that leaves its tip, and whether a limit holds it. */
export interface TubeState {
  wall: number;
  carried: number;
  water: number;
  limited: boolean;
}

/** How one tube carries heat up: only up, and no more than its limits let it. */
export interface Carrying {
  tubeIn(met: Meets, at: { carried: number; entering: number; loses: number }): TubeState;
  carriedInto(met: Meets, water: number): number;
}

export function carrying({ tube, charge }: HeatPipeDescription): Carrying {
  const dryOut = dryOutTemperature(charge, (Math.PI / 4) * tube.bore ** 2 * tube.length);
  /** °C of a tube that carries nothing. */
  const alone = ({ loss, kept, air, high }: Meets): number =>
    risingRoot((wall) => loss(wall) - kept, air - 90, high, 1e-9);
  /**
   * One tube whose tip stands in water that takes `carried` W/K from an inlet and loses `loses` W/K to the air: Q = φ (kept − loss(wall)),
   * water = wall − Q R, and the water's own balance. Without flow `carried` is 0.
   */
  const tubeIn = (met: Meets, at: { carried: number; entering: number; loses: number }): TubeState => {
    const { one, loss, kept, share, air, high } = met;
    const given = at.carried * at.entering + at.loses * air;
    const taken = at.carried + at.loses;
    const idle = given / taken;
    // Colder than its water it carries nothing down.
    if (kept - loss(idle) < 1e-9) return { wall: alone(met), carried: 0, water: idle, limited: false };
    const wall = risingRoot(
      (guess) => {
        const carried = share * (kept - loss(guess));
        return taken * (guess - carried * one.resistance) - given - carried;
      },
      idle,
      high,
      1e-7,
    );
    const { carried, ...rest } = withinLimits(met, wall, idle);
    return { ...rest, carried, water: (given + carried) / taken };
  };
  /**
   * What a tube with its wall at a temperature carries, or what its limits let it: then its wall is hotter. Once its charge is all steam it
   * carries nothing.
   */
  const withinLimits = (met: Meets, wall: number, idle: number): Omit<TubeState, 'water'> => {
    const { one, loss, kept, share, high } = met;
    const carried = share * (kept - loss(wall));
    const vapour = wall - carried * one.evaporating;
    if (vapour >= dryOut) return { wall: alone(met), carried: 0, limited: true };
    if (carried <= floodingLimit(tube.bore, vapour)) return { wall, carried, limited: false };
    const excess = (guess: number) => share * (loss(guess) - kept) + floodingLimit(tube.bore, guess);
    const hot = risingRoot(excess, idle, high, 1e-9);
    return { wall: hot, carried: share * (kept - loss(hot)), limited: true };
  };
  /** W from one tube into water held at a temperature. */
  const carriedInto = (met: Meets, water: number): number => {
    const { one, loss, kept, share, high } = met;
    if (kept - loss(water) < 1e-9) return 0;
    const wall = risingRoot(
      (guess) => share * (loss(guess) - kept) + (guess - water) / one.resistance,
      water,
      high,
      1e-9,
    );
    return withinLimits(met, wall, water).carried;
  };
  return { tubeIn, carriedInto };
}
