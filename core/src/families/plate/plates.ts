import { type Shape, shape } from '../../draw';
import type { Part } from '../../shop';
import type { PlateLayout } from './layout';

/** m. Left open between two pieces on one tube, as they are laid. */
const buttGap = 0.003;

/** Pieces of plate from above, each where it lies: strips and fins tube by tube, a whole sheet or board over all of them. */
export function plateShapes({ plates, runs, plateSpan, finWidth, pitch }: PlateLayout): Shape[] {
  const rect = (part: Part, x: number, y: number, width: number, height: number): Shape =>
    shape.rect('plate', { part: part.id, x, y, width, height });
  const long = plateSpan.to - plateSpan.from;
  const [first = 0] = runs;
  const sheets = plates.filter((part) => part.kind === 'sheet');
  const whole = sheets.filter(({ count }) => count < runs.length);
  const across = runs.length * pitch;
  return [
    ...whole.map((part) => rect(part, plateSpan.from, first - pitch / 2, long, across)),
    ...runs.flatMap((y, index) => {
      let x = plateSpan.from;
      return piecesOn(plates, index, runs.length).map((part) => {
        const wide = part.kind === 'length' ? part.length : long;
        const shape = rect(part, x, y - finWidth / 2, Math.min(wide, long), finWidth);
        x += wide + buttGap;
        return shape;
      });
    }),
  ];
}

/** The pieces on one tube, from its beginning: an outer tube has its own where there are any. */
function piecesOn(plates: readonly Part[], tube: number, tubes: number): Part[] {
  const outermost = tube === 0 || tube === tubes - 1;
  const isOuter = ({ id }: Part) => id.endsWith('-outer');
  const anyOuter = plates.some(isOuter);
  return plates
    .filter((part) => part.kind === 'length' || part.count >= tubes)
    .filter((part) => !anyOuter || isOuter(part) === outermost)
    .flatMap((part) => {
      const sharing = !anyOuter ? tubes : isOuter(part) ? Math.min(2, tubes) : Math.max(1, tubes - 2);
      return new Array<Part>(Math.round(part.count / sharing)).fill(part);
    });
}

/** The piece of plate that a cut across a tube meets in the middle of its length. */
export function plateOver(layout: Pick<PlateLayout, 'plates' | 'runs'>, tube: number): string | undefined {
  const { plates, runs } = layout;
  const on = piecesOn(plates, tube, runs.length);
  return (on[Math.floor(on.length / 2)] ?? plates[0])?.id;
}
