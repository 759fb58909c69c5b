import { jobTools } from '../building';
import { jobFindings, sayFinding } from '../cautions';
import { lastLook } from '../cutting';
import type { Job } from '../document';
import { type Drawing, drawOn, extent } from '../draw';
import { evaluateOpen } from '../figures';
import type { OpenJob } from '../job';
import { jobParts } from '../job';
import { formatMoney, formatQuantity, sayWords } from '../quantity';
import type { ShopPlan } from '../shop';
import { cardPages } from './cards';
import { drawingPages } from './drawings';
import {
  beginPrint,
  finishPrint,
  heading,
  inks,
  makeRoom,
  newSheet,
  type Print,
  type PrintContext,
  write,
} from './frame';
import { labelPages } from './labels';
import { buyPages, cutPages } from './lists';
import { reportPages } from './report';
import { stepPages } from './steps';
import { edgeTemplates, jobTemplates, templatePages } from './templates';

/** What can be printed by itself; `pack` is all of it in one file but for the labels and the bent edge at full size, which is many sheets. */
export const paperKinds = [
  'pack',
  'steps',
  'cut',
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
  if (all) cover(print, open, plan);
  if (all || kind === 'drawings') drawingPages(print, open);
  if (all || kind === 'steps') stepPages(print, open);
  if (all || kind === 'buy') buyPages(print, plan, jobTools(open));
  if (all || kind === 'cut') cutPages(print, parts, plan);
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

/** The job at a glance, what is dangerous in it, and what to be sure of before the saw. */
function cover(print: Print, open: OpenJob, plan: ShopPlan): void {
  const { habit, job } = print.context;
  newSheet(print, 'Shop pack');
  const figures = evaluateOpen(open, {}, plan);
  write(
    print,
    [
      `${formatQuantity('area', figures.apertureArea, habit).text} of pane`,
      `${formatQuantity('mass', figures.dryMass, habit, 0).text} dry, ${formatQuantity('mass', figures.wetMass, habit, 0).text} full`,
      `${formatMoney(plan.cost, job.currency, 0)} to buy`,
    ].join('; '),
    { size: 4 },
  );
  const findings = jobFindings(open);
  const grave = findings.filter(({ severity }) => severity !== 'note');
  if (grave.length > 0) {
    heading(print, 'Beware');
    for (const finding of grave) {
      const { headline, detail, remedy } = sayFinding(finding, habit);
      write(print, `${headline[0]?.toUpperCase()}${headline.slice(1)}. ${detail} ${remedy}`, {
        colour: finding.severity === 'stop' ? inks.brick : inks.ochre,
      });
      print.y -= 1.5;
    }
  }
  const looks = lastLook(open, plan);
  heading(print, 'A last look before the saw');
  for (const { words, settled } of looks) {
    makeRoom(print, 8);
    print.page.rect(print.left, print.y - 4.6, 4, 4, { stroke: inks.ink, width: 0.3 });
    const said = sayWords(words, habit);
    write(print, `${said[0]?.toUpperCase()}${said.slice(1)}.${settled ? ' (found right)' : ''}`, { indent: 7 });
    print.y -= 1.5;
  }
  for (const { document, design } of open.panels) {
    const drawing = design.drawings.plan.draw();
    const box = extent(drawing);
    const room = { width: print.right - print.left - 24, height: Math.min(110, print.y - print.bottom - 22) };
    if (room.height < 60) {
      newSheet(print, 'Shop pack');
      room.height = 110;
    }
    heading(print, `${document.count > 1 ? `${document.count} × ` : ''}${document.id}, seen from above`);
    const scale = Math.min(room.width / box.width, room.height / box.height);
    drawOn(print.page, drawing, {
      scale,
      origin: {
        x: print.left + 10 - box.left * scale,
        y: print.y - 6 - (box.bottom + box.height) * scale,
      },
      habit,
    });
    print.y -= box.height * scale + 12;
  }
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
