import { jobTools } from '../building';
import type { Job } from '../document';
import { type Drawing, drawOn, extent } from '../draw';
import { jobParts, type OpenJob } from '../job';
import type { ShopPlan } from '../shop';
import { assemblyPages } from './assembly';
import { buyPages } from './buyList';
import { cardPages } from './cards';
import { coverPages } from './cover';
import { cutPages } from './cutList';
import { drawingPages } from './drawings';
import { beginPrint, finishPrint, newSheet, type PrintContext, write } from './frame';
import { labelPages } from './labels';
import { plumbingPages } from './plumbing';
import { reportPages } from './report';
import { stepPages } from './steps';
import { stockPages } from './stockMarks';
import { edgeTemplates, jobTemplates, templatePages } from './templates';

/** What can be printed by itself; `pack` is all of it in one file but for the labels and the bent edge at full size, which is many sheets. */
export const paperKinds = [
  'pack',
  'steps',
  'assembly',
  'plumbing',
  'cut',
  'marks',
  'buy',
  'cards',
  'templates',
  'drawings',
  'labels',
  'edge',
  'report',
] as const;
/** Letters beyond Latin that papers write by themselves: the efficiency of the report. */
export const paperLetters = 'η';
export type PaperKind = (typeof paperKinds)[number];

const names: Record<PaperKind, string> = {
  pack: 'shop pack',
  steps: 'steps',
  assembly: 'assembly',
  plumbing: 'plumbing',
  marks: 'stock marks',
  cut: 'cut list',
  buy: 'buy list',
  cards: 'mark-out cards',
  templates: 'templates',
  drawings: 'drawings',
  labels: 'labels',
  edge: 'bent edge at full size',
  report: 'test report',
};

/**
 * A paper for the shop as PDF, every sheet with job, revision, date and unit habit.
 *
 * @param open the job, opened
 * @param plan its plan, with what proofs there are
 * @returns the bytes of the file
 */
export async function printJob(
  kind: PaperKind,
  open: OpenJob,
  plan: ShopPlan,
  context: Omit<PrintContext, 'job'>,
): Promise<Uint8Array> {
  const print = await beginPrint({ ...context, job: open.job }, names[kind]);
  const { parts } = jobParts(open);
  const all = kind === 'pack';
  if (all) coverPages(print, open, plan);
  if (all || kind === 'buy') buyPages(print, plan, jobTools(open));
  if (all || kind === 'marks') stockPages(print, parts, plan);
  if (all || kind === 'cut') cutPages(print, parts, plan);
  if (all || kind === 'assembly') assemblyPages(print, open, parts);
  if (all || kind === 'plumbing') plumbingPages(print, open);
  if (kind === 'drawings') drawingPages(print, open);
  if (all || kind === 'steps') stepPages(print, open);
  if (all || kind === 'cards') cardPages(print, parts);
  if (all || kind === 'templates') {
    const found = jobTemplates(open, parts);
    for (const template of found) templatePages(print, template);
    if (found.length === 0 && kind === 'templates') {
      newSheet(print, 'Full size');
      write(print, 'Nothing in this job is drilled or bent by a template.');
    }
  }
  if (kind === 'labels') labelPages(print, parts);
  if (kind === 'report') reportPages(print, open);
  if (kind === 'edge') {
    const found = edgeTemplates(open);
    for (const template of found) templatePages(print, template);
    if (found.length === 0) {
      newSheet(print, 'Full size');
      write(print, 'No panel of this job has a bent edge.');
    }
  }
  return finishPrint(print);
}

/** A drawing by itself on one sheet that lies, as large as it goes on. */
export async function printDrawing(
  drawing: Drawing,
  job: Job,
  context: Omit<PrintContext, 'job'>,
): Promise<Uint8Array> {
  const print = await beginPrint({ ...context, job }, drawing.title);
  newSheet(print, drawing.title, true);
  const box = extent(drawing);
  // Words and numbers stand outside of what is drawn.
  const room = { width: print.right - print.left - 60, height: print.y - print.bottom - 24 };
  const scale = Math.min(room.width / box.width, room.height / box.height);
  drawOn(print.page, drawing, {
    scale,
    origin: {
      x: print.left + 30 + (room.width - box.width * scale) / 2 - box.left * scale,
      y: print.bottom + 12 + (room.height - box.height * scale) / 2 - box.bottom * scale,
    },
    habit: context.habit,
  });
  return finishPrint(print);
}
