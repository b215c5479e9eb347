import { type OriginMessage, originSays, type TermMessage, termSays } from '#core/explain/sum-facts';
import { type Kind } from '#core/units/kind';
import { none } from '#core/units/message';
import { type Evaluation, type MixInput } from '#core/mix/evaluate';

/** One number that goes into a sum, and where it is from. */
export interface Term {
  what: TermMessage;
  value: number;
  kind: Kind;
  from: OriginMessage;
}

/** What goes into a sum, and what it comes to. */
export interface Sum {
  terms: Term[];
  result: number;
  kind: Kind;
}

/** How a number is computed again from a recipe and what was computed of it. */
export type SumOf = (input: MixInput, e: Evaluation) => Sum;

/** Where a term is from, when it is from neither a test nor a paper. */
export const LIBRARY = originSays('from.library', none);
export const COMPUTED = originSays('from.computed', none);

export const term = (what: TermMessage, value: number, kind: Kind, from: OriginMessage): Term => ({
  what,
  value,
  kind,
  from,
});

export const RECIPE = originSays('from.recipe', none);

/** What mixing takes, as it is measured or modelled. */
export const lostInMixing = (input: MixInput, e: Evaluation): Term =>
  term(
    termSays('term.lost-in-mixing', none),
    e.composition.shrinkage * 100,
    'pct',
    originSays(input.measured?.shrinkage === undefined ? 'from.packing' : 'from.yield-test', none),
  );

/** What pressing takes, of pores that it narrows. */
export const pressed = (e: Evaluation): Term =>
  term(
    termSays('term.firmed', none),
    e.composition.compaction * 100,
    'pct',
    originSays('from.recipe-pressing', none),
  );
