import { type FlagCode, type Subject, subjectOf } from '#core/recipe/flag-code';
import { type RuleFix } from '#core/recipe/fix';
import { type Library } from '#core/recipe/library';
import { type Reading, type ReadingId } from '#core/judge/readings';
import { type Evaluation, type MixInput } from '#core/mix/evaluate';
import { type Said } from '#core/units/said';

export const severities = ['stop', 'warn', 'note'] as const;
/** stop: this hurts plants or people · warn: likely to go wrong · note: good to know. */
export type Severity = (typeof severities)[number];

export interface Flag {
  code: FlagCode;
  severity: Severity;
  /** What is the matter and why, with the number. */
  text: Said;
  /** The way out. */
  remedy: Said;
  fix?: RuleFix;
}

/** As it is kept with a batch: its code may be one of before. */
export type KeptFlag = Omit<Flag, 'code'> & { code: string };

/** A rule that was quiet, as it is kept: what it would have said, why not, and since when. */
export type KeptKnown = Pick<KeptFlag, 'code' | 'text'> & { why: string; on: string };

const subjects: Readonly<Record<string, Subject>> = subjectOf;
/** What only reminds of care at work: one quiet line on the page, whole on the card. */
export const isCare = ({ code, severity }: Pick<KeptFlag, 'code' | 'severity'>): boolean =>
  severity === 'note' && subjects[code] === 'care';

/** What a rule may look at. */
export interface Judged {
  input: MixInput;
  evaluation: Evaluation;
  reading: (id: ReadingId) => Reading | undefined;
  /** What else there is to reach for; null where only the recipe is known. */
  library: Library | null;
}

/** One rule: silent, or one flag. */
export type Rule = (judged: Judged) => Flag | null;

/** Names of materials as spoken in a sentence: what stands before the size in brackets, lower case. */
export function spoken(names: readonly string[]): string {
  const plain = [...new Set(names.map((name) => name.replace(/\s*\(.*\)$/, '').toLowerCase()))];
  if (plain.length < 2) return plain.join('');
  return `${plain.slice(0, -1).join(', ')} and ${plain.at(-1)!}`;
}

export const capital = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);
