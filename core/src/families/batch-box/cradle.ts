import type { Timber } from '../../catalogue';
import { gravity } from '../../quantity';
import {
  partialLoadMoment,
  pointLoadMoment,
  rollAngle,
  sectionModulus,
  timberBearing,
  timberBending,
} from '../../statics';

/** Degrees from straight below a lying tank to where each of the two bearers touches it that it lies between. */
export const bearerAngle = 25;
/** m left between a tank and the bearer of the tank above it, and between posts. */
const clear = 0.004;
/** m. Longest chock beside a leaning tank. */
const longestChock = 0.1;

/** A stick that carries tanks: m across the load and along it. */
export interface Bearer {
  timber: Timber;
  wide: number;
  deep: number;
  /** Stands on a post in the middle too. Only under tanks that lean: under one that lies, the next lower one is in the way. */
  propped: boolean;
}

/** What the tanks are and how they lean; m, kg, m³, radians. */
export interface CradleLoad {
  lying: boolean;
  tilt: number;
  across: number;
  long: number;
  /** Of one tank, full. */
  mass: number;
  /** Middles of tanks that lean, from the first support of a bearer. */
  places: readonly number[];
  /** From support to support of a bearer. */
  span: number;
  /** Of a post, square. */
  post: number;
}

/** What the worst loaded bearer stands: Pa in bending and where it lies on its posts; kg of one tank. */
export interface CradleStress {
  bending: number;
  bearing: number;
  mass: number;
}

/**
 * Stress in a bearer with all tanks full. A lying tank presses square to its own shell on each of two level bearers: half its weight down
 * and tan β of that sideways, along its whole length. A tank that leans gives half of its weight's part square to the slope to each bearer across, and the
 * part along the slope to the rail at its foot, which lies with its depth along it.
 */
export function cradleStress(load: CradleLoad, { wide, deep, propped }: Bearer): CradleStress {
  const { lying, tilt, long, mass, places, span, post } = load;
  const weight = mass * gravity;
  const pressed = post * Math.min(post, wide);
  if (lying) {
    const down = partialLoadMoment(span, long, weight / 2);
    const aside = down * Math.tan((bearerAngle * Math.PI) / 180);
    return {
      bending: down / sectionModulus(wide, deep) + aside / sectionModulus(deep, wide),
      bearing: weight / 4 / pressed,
      mass,
    };
  }
  const square = (weight * Math.cos(tilt)) / 2;
  const along = weight * Math.sin(tilt);
  // Each half of a propped bearer as a beam of its own: what it is stiffened by across the prop is left out.
  const half = span / 2;
  const beams = propped
    ? [places.filter((at) => at <= half), places.filter((at) => at > half).map((at) => at - half)]
    : [places];
  const one = propped ? half : span;
  const bending =
    Math.max(
      ...beams.map((own) =>
        pointLoadMoment(
          one,
          own.map((at) => ({ at, force: Math.max(square, along) })),
        ),
      ),
    ) / sectionModulus(wide, deep);
  const [first = [], second = []] = beams;
  const left = (own: readonly number[]) => own.reduce((sum, at) => sum + (square * (one - at)) / one, 0);
  const right = (own: readonly number[]) => own.reduce((sum, at) => sum + (square * at) / one, 0);
  const end = propped
    ? Math.max(left(first), right(first) + left(second), right(second))
    : Math.max(left(first), right(first));
  return { bending, bearing: end / pressed, mass };
}

/** Whether a bearer stands its load for years. */
export const bears = ({ bending, bearing }: CradleStress): boolean =>
  bending <= timberBending && bearing <= timberBearing;

/** The bearer that is cut: of studs where they do, else of the pane rail's timber on edge, under leaning tanks with a prop where that is not enough. */
export function chooseBearer(load: CradleLoad, stud: Timber, rail: Timber): Bearer & { stress: CradleStress } {
  const onEdge = { timber: rail, wide: rail.thickness, deep: rail.width };
  const ways: Bearer[] = [
    { timber: stud, wide: stud.thickness, deep: stud.width, propped: false },
    { ...onEdge, propped: false },
    ...(load.lying ? [] : [{ ...onEdge, propped: true }]),
  ];
  const judged = ways.map((one) => ({ ...one, stress: cradleStress(load, one) }));
  return judged.find(({ stress }) => bears(stress)) ?? (judged.at(-1) as Bearer & { stress: CradleStress });
}

/**
 * m from tank to tank, up the slope, of tanks that lie: room between them, the bearers of the upper one clear of the lower tank, and the posts of
 * both beside each other.
 */
export function lyingPitch({ across, tilt, post }: CradleLoad, { wide, deep }: Bearer, around: number): number {
  const radius = across / 2;
  const beta = (bearerAngle * Math.PI) / 180;
  const [sin, cos] = [Math.sin(tilt), Math.cos(tilt)];
  const half = radius * Math.sin(beta) + Math.max(wide, (wide + post) / 2);
  const least = Math.max(across + around, (2 * half + clear) / cos);
  /** From the middle of the lower tank to the nearest place of the low bearer of the upper one. */
  const distance = (pitch: number) => {
    const right = pitch * cos - radius * Math.sin(beta);
    const top = pitch * sin - radius * Math.cos(beta);
    const x = Math.max(0, right - wide, -right);
    const z = Math.max(0, top - deep, -top);
    return Math.hypot(x, z);
  };
  if (distance(least) >= radius + clear) return least;
  let [low, high] = [least, least + 2 * (radius + deep + wide)];
  for (let halving = 0; halving < 40; halving += 1) {
    const middle = (low + high) / 2;
    if (distance(middle) >= radius + clear) high = middle;
    else low = middle;
  }
  return high;
}

/** m. A chock on each side of a leaning tank, on each bearer: as high as a stud, as long as there is room for. */
export function chockLength(across: number, pitch: number, first: number, height: number): number {
  const half = Math.sin((rollAngle(across / 2, height) * Math.PI) / 180) * (across / 2);
  return Math.max(0, Math.min(longestChock, pitch / 2 - half, first - half));
}
