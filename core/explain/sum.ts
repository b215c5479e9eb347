import { type Evaluation, type MixInput } from '#core/mix/evaluate';

/** One number that goes into a sum, and where it is from. */
export interface Term {
  name: string;
  value: number;
  unit: string;
  from: string;
}

/** A sum in plain words, with what goes into it, its source and its limits. */
export interface Sum {
  how: string;
  terms: Term[];
  result: number;
  source: string;
  limits: string;
}

/** How a number is reckoned again from a recipe and what was computed of it. */
export type SumOf = (input: MixInput, e: Evaluation) => Sum;

/** Where a term is from, when it is from neither a test nor a paper. */
export const LIBRARY = 'material table';
export const COMPUTED = 'computed';

export const term = (name: string, value: number, unit: string, from: string): Term => ({
  name,
  value,
  unit,
  from,
});
