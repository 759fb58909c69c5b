import type { Color, PDFDocument, PDFFont, PDFPage } from 'pdf-lib';
import { corners, type Point } from './model';

/** Sheets that home printers take; mm, upright. */
export const paperSizes = {
  a4: { width: 210, height: 297, name: 'A4' },
  letter: { width: 215.9, height: 279.4, name: 'Letter' },
} as const;
export type PaperSize = keyof typeof paperSizes;

/** Bytes of the fonts that a paper is written in (TTF, OTF or WOFF). */
export interface PaperFonts {
  text: Uint8Array;
  heading: Uint8Array;
  /** Looked in, one after another, for letters that those two lack. */
  fallback?: readonly Uint8Array[];
}

export interface Pen {
  /** `#rrggbb`; none where left out. */
  stroke?: string;
  fill?: string;
  /** mm. */
  width?: number;
  /** mm on and off. */
  dash?: readonly [number, number];
}

export interface Lettering {
  /** mm of the em; 3.5 when left out. */
  size?: number;
  heading?: boolean;
  colour?: string;
  align?: 'start' | 'middle' | 'end';
  /** Degrees, anticlockwise. */
  turn?: number;
}

/** One sheet, in millimetres from its lower left corner, y upwards. */
export interface PaperPage {
  readonly width: number;
  readonly height: number;
  line(from: Point, to: Point, pen: Pen): void;
  rect(x: number, y: number, width: number, height: number, pen: Pen): void;
  circle(centre: Point, radius: number, pen: Pen): void;
  path(points: readonly Point[], closed: boolean, pen: Pen): void;
  /** Fractions in the words (5/8) are set as fractions. */
  text(words: string, at: Point, lettering?: Lettering): void;
  /** mm that words take. */
  measure(words: string, lettering?: Lettering): number;
  /** What `draw` does shows only inside the rectangle. */
  clipped(x: number, y: number, width: number, height: number, draw: () => void): void;
}

export interface Paper {
  readonly size: PaperSize;
  /** A new sheet, upright or lying. */
  add(lying?: boolean): PaperPage;
  /** All sheets so far, to be headed and numbered at the end. */
  readonly pages: readonly PaperPage[];
  /** Letters met so far that no font has; a question mark stands for each. */
  readonly missing: ReadonlySet<string>;
  /** The file. */
  save(): Promise<Uint8Array>;
}

/** mm to PDF points: 72 to an inch. */
const point = 72 / 25.4;
const usual = 3.5;
/** Size of the figures of a fraction, and how far its upper one is raised, in ems. */
const small = 0.6;
const raised = 0.33;

/**
 * An empty paper to draw on; written as PDF. The PDF maker is loaded when first asked for.
 *
 * @param about what stands in the file's own properties
 */
export async function openPaper(
  size: PaperSize,
  fonts: PaperFonts,
  about: { title: string; at: Date },
): Promise<Paper> {
  const [pdf, { default: fontkit }] = await Promise.all([import('pdf-lib'), import('@pdf-lib/fontkit')]);
  const file = await pdf.PDFDocument.create();
  file.registerFontkit(fontkit);
  file.setTitle(about.title);
  file.setCreator('North Pane');
  file.setProducer('North Pane');
  file.setCreationDate(about.at);
  file.setModificationDate(about.at);
  const embed = async (bytes: Uint8Array): Promise<Face> => {
    const font = await file.embedFont(bytes, { subset: true });
    return { font, letters: new Set(font.getCharacterSet()), widths: new Map() };
  };
  const fallback: Face[] = [];
  for (const bytes of fonts.fallback ?? []) fallback.push(await embed(bytes));
  const faces = {
    text: [await embed(fonts.text), ...fallback],
    heading: [await embed(fonts.heading), ...fallback],
  };
  const pages: PaperPage[] = [];
  const missing = new Set<string>();
  return {
    size,
    pages,
    missing,
    add: (lying = false) => {
      const { width, height } = paperSizes[size];
      const [w, h] = lying ? [height, width] : [width, height];
      const page = pageOn({ pdf, file, faces, missing }, w, h);
      pages.push(page);
      return page;
    },
    save: () => file.save({ objectsPerTick: Number.POSITIVE_INFINITY }),
  };
}

type Pdf = typeof import('pdf-lib');

interface Setting {
  pdf: Pdf;
  file: PDFDocument;
  faces: { text: readonly Face[]; heading: readonly Face[] };
  missing: Set<string>;
}

/** A font in the file. */
interface Face {
  font: PDFFont;
  /** Code points that it has. */
  letters: ReadonlySet<number>;
  /** Of words at a size of one: setting them takes a thousand times as long as finding them again. */
  widths: Map<string, number>;
}

function widthOf({ font, widths }: Face, words: string): number {
  const width = widths.get(words) ?? font.widthOfTextAtSize(words, 1);
  widths.set(words, width);
  return width;
}

/** Letters set at once. */
interface Run {
  text: string;
  /** mm of the em. */
  size: number;
  /** mm above the line of writing. */
  rise: number;
  face: Face;
}

/** Words parted into runs that one font can set. @throws RangeError without any font */
function parts(words: string, faces: readonly Face[], missing: Set<string>): { text: string; face: Face }[] {
  const found: { text: string; face: Face }[] = [];
  const first = faces[0];
  if (!first) throw new RangeError('no font');
  for (const letter of words) {
    const code = letter.codePointAt(0) ?? 0;
    const having = faces.find(({ letters }) => letters.has(code));
    if (!having) missing.add(letter);
    const face = having ?? first;
    const last = found[found.length - 1];
    if (last?.face === face) last.text += having ? letter : '?';
    else found.push({ text: having ? letter : '?', face });
  }
  return found;
}

function pageOn({ pdf, file, faces, missing }: Setting, width: number, height: number): PaperPage {
  const page: PDFPage = file.addPage([width * point, height * point]);
  const colour = (hex: string | undefined): Color | undefined => {
    if (hex === undefined || hex === 'none') return undefined;
    const value = Number.parseInt(hex.slice(1), 16);
    return pdf.rgb(((value >> 16) & 255) / 255, ((value >> 8) & 255) / 255, (value & 255) / 255);
  };
  const trace = (points: readonly Point[], closed: boolean, pen: Pen): void => {
    const [first, ...rest] = points;
    if (!first) return;
    const stroke = colour(pen.stroke);
    const fill = closed ? colour(pen.fill) : undefined;
    if (!stroke && !fill) return;
    page.pushOperators(
      pdf.pushGraphicsState(),
      ...(stroke ? [pdf.setStrokingColor(stroke), pdf.setLineWidth((pen.width ?? 0.25) * point)] : []),
      ...(fill ? [pdf.setFillingColor(fill)] : []),
      ...(pen.dash
        ? [
            pdf.setDashPattern(
              pen.dash.map((one) => one * point),
              0,
            ),
          ]
        : []),
      pdf.moveTo(first.x * point, first.y * point),
      ...rest.map(({ x, y }) => pdf.lineTo(x * point, y * point)),
      ...(closed ? [pdf.closePath()] : []),
      stroke && fill ? pdf.fillAndStroke() : fill ? pdf.fill() : pdf.stroke(),
      pdf.popGraphicsState(),
    );
  };
  /** Runs of one size and font: plain words, and the two figures of a fraction. */
  const runs = (words: string, { size = usual, heading }: Lettering): Run[] =>
    words.split(/(\d+\/\d+)/).flatMap((run) => {
      const [, over, under] = /^(\d+)\/(\d+)$/.exec(run) ?? [];
      const pieces =
        over === undefined || under === undefined
          ? [{ text: plain(run), size, rise: 0 }]
          : [
              { text: over, size: size * small, rise: size * raised },
              { text: '/', size: size * 0.8, rise: 0 },
              { text: under, size: size * small, rise: 0 },
            ];
      return pieces.flatMap((piece) =>
        parts(piece.text, heading ? faces.heading : faces.text, missing).map((part) => ({ ...piece, ...part })),
      );
    });
  const measure = (words: string, lettering: Lettering = {}) =>
    runs(words, lettering).reduce((sum, run) => sum + widthOf(run.face, run.text) * run.size, 0);
  return {
    width,
    height,
    measure,
    line: (from, to, pen) => trace([from, to], false, pen),
    rect: (x, y, w, h, pen) => trace(corners({ x, y, width: w, height: h }), true, pen),
    path: trace,
    circle: ({ x, y }, radius, pen) => {
      const fill = colour(pen.fill);
      const stroke = colour(pen.stroke);
      page.drawCircle({
        x: x * point,
        y: y * point,
        size: radius * point,
        ...(fill ? { color: fill } : {}),
        ...(stroke ? { borderColor: stroke, borderWidth: (pen.width ?? 0.25) * point } : {}),
      });
    },
    text: (words, at, lettering = {}) => {
      const { align = 'start', turn = 0 } = lettering;
      const long = measure(words, lettering);
      const angle = (turn * Math.PI) / 180;
      let along = align === 'start' ? 0 : align === 'middle' ? -long / 2 : -long;
      for (const run of runs(words, lettering)) {
        page.drawText(run.text, {
          x: (at.x + along * Math.cos(angle) - run.rise * Math.sin(angle)) * point,
          y: (at.y + along * Math.sin(angle) + run.rise * Math.cos(angle)) * point,
          size: run.size * point,
          font: run.face.font,
          rotate: pdf.degrees(turn),
          color: colour(lettering.colour ?? '#22303A') ?? pdf.rgb(0, 0, 0),
        });
        along += widthOf(run.face, run.text) * run.size;
      }
    },
    clipped: (x, y, w, h, draw) => {
      page.pushOperators(
        pdf.pushGraphicsState(),
        pdf.rectangle(x * point, y * point, w * point, h * point),
        pdf.clip(),
        pdf.endPath(),
      );
      draw();
      page.pushOperators(pdf.popGraphicsState());
    },
  };
}

/** Words that the fonts can set: no tabs or line ends, narrow spaces as plain ones. */
function plain(words: string): string {
  return words.replaceAll(/[\u202f\u00a0\u2009\n\t]/g, ' ').replaceAll('→', '>');
}
