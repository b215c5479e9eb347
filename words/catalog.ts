import { type StepFacts } from '#core/batch/step-facts';
import { type ExplainedId } from '#core/explain/explain';
import { type MoverFacts, type OriginFacts, type TermFacts } from '#core/explain/sum-facts';
import { type MessageOf, type None } from '#core/units/message';
import { type Formats } from '#words/formats';

/** A sentence for each message of a table: one that lacks, or that uses a fact which is not there, does not compile. */
export type Words<Table> = {
  readonly [Code in keyof Table]: (facts: Table[Code], formats: Formats) => string;
};

export type SumPart = 'how' | 'source' | 'limits';
/** How a number is computed, where that is from, and what it does not know: by the id of the number. */
export type SumTexts = Record<`sum.${ExplainedId}.${SumPart}`, None>;

/** Every message there is. */
export type AllFacts = StepFacts & SumTexts & TermFacts & OriginFacts & MoverFacts;
export type AnyMessage = MessageOf<AllFacts>;
/** All that a language must say. */
export type Catalog = Words<AllFacts>;
