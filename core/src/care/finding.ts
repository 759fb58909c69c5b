import { formatLength, formatQuantity, type Habit, type QuantityKind } from '../quantity';

/** How grave: `stop` is danger to people, `clash` cannot be built as drawn, `caution` will bite later, `note` is worth a look. */
export type Severity = 'stop' | 'clash' | 'caution' | 'note';

/** Something a builder can mend, as data. Its words are made by `wordFinding`. */
export interface Finding {
  code: string;
  severity: Severity;
  /** Path in the job document of the field that mends it, for instance `heaters.panel-a.parameters.entry`. */
  path: string;
  /** SI numbers, and names, that the words speak of. */
  values: Readonly<Record<string, number | string>>;
  /** What it is about, where that is not what mends it: a heater, for instance `heaters.panel-a`. */
  about?: string;
  /** Of a danger: how bad it is, by one of its numbers; larger is worse. An answer in writing holds up to the number that it was given at. */
  measure?: number;
  /** m. Where on the plan it is, when it is anywhere. */
  at?: { x: number; y: number };
  /** A value for the field at `path` that would mend it, where one value does. */
  fix?: number | string | boolean;
  /** What must be set with it, where `fix` alone would break something else. */
  also?: readonly { path: string; value: number | string | boolean }[];
}

type More = Partial<Omit<Finding, 'code' | 'severity' | 'path' | 'values'>>;
const by =
  (severity: Severity) =>
  (code: string, path: string, values: Finding['values'], more: More = {}): Finding => ({
    code,
    severity,
    path,
    values,
    ...more,
  });

/** Findings by how grave they are: code, path of the field that mends it, and what the words speak of. */
export const finding = { stop: by('stop'), clash: by('clash'), caution: by('caution'), note: by('note') };

/** All that is set to mend a finding; nothing where no value does. */
export function fixesFor({ path, fix, also = [] }: Finding): { path: string; value: number | string | boolean }[] {
  return fix === undefined ? [] : [{ path, value: fix }, ...also];
}

/** Whether a finding keeps the job from being built as drawn: it clashes, or it is a danger to people. */
export function isClash({ severity }: Pick<Finding, 'severity'>): boolean {
  return severity === 'clash' || severity === 'stop';
}

const gravity: readonly Severity[] = ['stop', 'clash', 'caution', 'note'];

/** The gravest first; those of one gravity keep their order. */
export function gravestFirst(findings: readonly Finding[]): Finding[] {
  return findings.toSorted((a, b) => gravity.indexOf(a.severity) - gravity.indexOf(b.severity));
}

export interface Wording {
  /** A few words for the place on the drawing. */
  headline: string;
  /** What is so, with its number. */
  detail: string;
  /** What to do about it, and who must do it where that is not the builder. */
  remedy: string;
}

/** Writes SI values in the builder's habit, for use in words. */
export interface Say {
  length(value: number): string;
  quantity(kind: QuantityKind, value: number, digits?: number): string;
}

export function sayIn(habit: Habit): Say {
  return {
    length: (value) => formatLength(value, habit).text,
    quantity: (kind, value, digits) => formatQuantity(kind, value, habit, digits).text,
  };
}

type Values = { number(name: string): number; text(name: string): string };
export type Words = (values: Values, say: Say) => Wording;

/** A finding whose values lack what its words need, or whose code has no words: a fault of the program. */
export class UnworthyFinding extends Error {
  constructor(
    readonly code: string,
    readonly missing: string,
  ) {
    super(`finding ${code} has no ${missing}`);
    this.name = 'UnworthyFinding';
  }
}

/** Words of one finding, from a table of words by code. Throws UnworthyFinding. */
export function wordFinding(finding: Finding, table: Readonly<Record<string, Words>>, habit: Habit): Wording {
  const words = table[finding.code];
  if (!words) throw new UnworthyFinding(finding.code, 'words');
  const values: Values = {
    number(name) {
      const value = finding.values[name];
      if (typeof value !== 'number' || !Number.isFinite(value)) throw new UnworthyFinding(finding.code, name);
      return value;
    },
    text(name) {
      const value = finding.values[name];
      if (typeof value !== 'string') throw new UnworthyFinding(finding.code, name);
      return value;
    },
  };
  return words(values, sayIn(habit));
}
