import { fineMarks, formatLength, type Habit } from '../quantity';
import { paperInk as ink } from './look';
import { type Dimension, type Drawing, dimensionLine, direction, extent, type Point, type Shape } from './model';

export interface SvgOptions {
  habit: Habit;
  /** mm of paper to a metre of the thing; 1000 is full size. The largest that fits a sheet when left out. */
  scale?: number;
}

/** mm. */
const textHeight = 3.2;
const margin = 14;
/** mm. Longest side of what is drawn, so that it goes on an A4 sheet. */
const sheet = 250;
/** mm to a metre: full size, halves, fifths and so on, as drawings are made. */
const scales = [1000, 500, 200, 100, 50, 20] as const;
/** Width of a letter of a plain sans, times its height: digits and lower case, on average. */
const letter = 0.56;

/** The largest usual scale at which a drawing goes on a sheet. */
export function scaleFor({ width, height }: { width: number; height: number }): number {
  return scales.find((scale) => Math.max(width, height) * scale <= sheet) ?? 10;
}

/**
 * Writes a drawing as a standalone SVG in millimetres of paper, dimensions in the reader's unit.
 * Numbers are rounded here, to a hundredth of a millimetre of paper, and nowhere before.
 */
export function writeSvg(drawing: Drawing, options: SvgOptions): string {
  const box = extent(drawing);
  const scale = options.scale ?? scaleFor(box);
  const labels = drawing.labels.map((label) => ({
    ...label,
    text: label.size === undefined ? label.words : `${label.words} ${size(label.size, options.habit, label.fine)}`,
  }));
  // Words reach beyond the point that they stand at; the page is made wide enough for them.
  const reach = labels.map(({ to, text, anchor }) => {
    const wide = text.length * textHeight * letter;
    const at = (to.x - box.left) * scale;
    const before = { start: 0, middle: wide / 2, end: wide }[anchor];
    return { left: at - before, right: at + wide - before };
  });
  const left = margin + Math.max(0, ...reach.map((one) => -one.left - margin / 2));
  const right = margin + Math.max(0, ...reach.map((one) => one.right - box.width * scale - margin / 2));
  const width = box.width * scale + left + right;
  const height = box.height * scale + 2 * margin;
  const place = (point: Point): Point => ({
    x: (point.x - box.left) * scale + left,
    y: height - margin - (point.y - box.bottom) * scale,
  });
  const parts = [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${n(width)}mm" height="${n(height)}mm" viewBox="0 0 ${n(width)} ${n(height)}" font-family="sans-serif" font-size="${textHeight}">`,
    `<title>${escaped(drawing.title)}</title>`,
    ...drawing.shapes.map((shape) => shapeSvg(shape, place, scale)),
    ...drawing.dimensions.map((dimension) => dimensionSvg(dimension, place, options.habit)),
    ...labels.map((label) => {
      const from = place(label.at);
      const to = place(label.to);
      // Words on the spot need no line to it.
      const leader =
        from.x === to.x && from.y === to.y
          ? ''
          : `<path d="M${n(from.x)} ${n(from.y)}L${n(to.x)} ${n(to.y)}" stroke="#5A6469" stroke-width=".15" fill="none"/>`;
      return `<g class="label">${leader}<text x="${n(to.x)}" y="${n(to.y + 1)}" text-anchor="${label.anchor}" fill="#22303A">${escaped(label.text)}</text></g>`;
    }),
    `<text class="scale" x="${n(width - 3)}" y="${n(height - 3)}" text-anchor="end" font-size="2.6" fill="#5A6469">${scaleWords(scale)}</text>`,
    '</svg>',
  ];
  return `${parts.join('\n')}\n`;
}

/** The scale as drawings say it. */
function scaleWords(scale: number): string {
  return scale === 1000 ? 'full size' : `1 : ${Math.round(10000 / scale) / 10}`;
}

function shapeSvg(shape: Shape, place: (point: Point) => Point, scale: number): string {
  const { stroke, fill } = ink[shape.layer];
  const look = `stroke="${stroke}" stroke-width=".35" fill="${shape.hidden ? 'none' : fill}"${shape.hidden ? ' stroke-dasharray="1.6 1"' : ''}${shape.part ? ` data-part="${escaped(shape.part)}"` : ''}`;
  switch (shape.kind) {
    case 'rect': {
      const corner = place({ x: shape.x, y: shape.y + shape.height });
      return `<rect x="${n(corner.x)}" y="${n(corner.y)}" width="${n(shape.width * scale)}" height="${n(shape.height * scale)}" ${look}/>`;
    }
    case 'circle': {
      const centre = place(shape.centre);
      return `<circle cx="${n(centre.x)}" cy="${n(centre.y)}" r="${n(shape.radius * scale)}" ${look}/>`;
    }
    case 'line':
      return `<path d="${path([shape.from, shape.to].map(place), false)}" ${look}/>`;
    case 'path':
      return `<path d="${path(shape.points.map(place), shape.closed)}" ${look}/>`;
    default:
      return shape satisfies never;
  }
}

/** Witness lines, the dimension line with oblique ticks, and the number, read from below or from the right. */
function dimensionSvg(dimension: Dimension, place: (point: Point) => Point, habit: Habit): string {
  const line = dimensionLine(dimension);
  const from = place(line.from);
  const to = place(line.to);
  const { along } = direction(from, to);
  const tick = (at: Point) => {
    const dx = (along.x - along.y) * 1.1;
    const dy = (along.y + along.x) * 1.1;
    return `M${n(at.x - dx)} ${n(at.y - dy)}L${n(at.x + dx)} ${n(at.y + dy)}`;
  };
  const witness = `${path([place(dimension.from), from], false)}${path([place(dimension.to), to], false)}`;
  const middle = { x: (from.x + to.x) / 2, y: (from.y + to.y) / 2 };
  const upright = Math.abs(along.y) > Math.abs(along.x);
  const turn = upright ? ` transform="rotate(-90 ${n(middle.x)} ${n(middle.y)})"` : '';
  return `<g class="dimension"><path d="${witness}" stroke="#5A6469" stroke-width=".12" fill="none"/><path d="${path([from, to], false)}${tick(from)}${tick(to)}" stroke="#22303A" stroke-width=".25" fill="none"/><text x="${n(middle.x)}" y="${n(middle.y - 0.9)}"${turn} text-anchor="middle" fill="#22303A">${escaped(size(dimension.value, habit))}</text></g>`;
}

function size(value: number, habit: Habit, fine?: boolean): string {
  return formatLength(value, habit, { bare: true, ...(fine ? fineMarks : {}) }).text;
}

function path(points: readonly Point[], closed: boolean): string {
  return `${points.map((point, index) => `${index === 0 ? 'M' : 'L'}${n(point.x)} ${n(point.y)}`).join('')}${closed ? 'Z' : ''}`;
}

function n(value: number): string {
  return String(Math.round(value * 100) / 100);
}

function escaped(text: string): string {
  return text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;').replaceAll('"', '&quot;');
}
