import { type StepFacts } from '#core/batch/step-facts';
import { type MessageOf } from '#core/units/message';
import { type Formats } from '#words/formats';

/** A sentence for each message of a table: one that lacks, or that uses a fact which is not there, does not compile. */
export type Words<Table> = {
  readonly [Code in keyof Table]: (facts: Table[Code], formats: Formats) => string;
};

/** Every message there is. */
export type AllFacts = StepFacts;
export type AnyMessage = MessageOf<AllFacts>;
/** All that a language must say. */
export type Catalog = Words<AllFacts>;
