import { type StepFacts } from '#core/batch/step-facts';
import { type ExplainedId } from '#core/explain/explain';
import { type MoverFacts, type OriginFacts, type TermFacts } from '#core/explain/sum-facts';
import { type CauseId, type Drench, type EvidenceId, type SignId } from '#core/plants/cause-table';
import { type VerdictFacts } from '#core/plants/verdict';
import { type PlantEvent, type PlantEventKind } from '#core/plants/planting';
import { type CareFacts } from '#core/plants/care-facts';
import { type SeasonFacts } from '#core/season/season-facts';
import { type CorrectionFacts } from '#core/batch/correct-facts';
import { type LinkFacts } from '#core/recipe/link-pieces';
import { type ApproachFacts } from '#core/recipe/approaches';
import { type TestFacts } from '#core/batch/test-facts';
import { type MessageOf, type None } from '#core/units/message';
import { type LabelSizeFacts } from '#core/batch/label-sizes';
import { type AllowedFacts } from '#core/units/allowed';
import { type UsualFacts } from '#core/finder/usual-shares';
import { type AdviseFacts } from '#core/advise/advise-facts';
import { type RuleFacts } from '#core/weeks/rule-facts';
import { type WeatherFacts } from '#core/weeks/weather';
import { type JarFacts } from '#core/mix/lime-reaction';
import { type CostFacts } from '#core/units/money';
import { type FigureUnits } from '#core/spread/learn-material';
import { type RestFacts } from '#core/package/rest';
import { type TrayFacts } from '#core/plants/trial';
import { type Formats } from '#words/formats';

/** A sentence for each message of a table: one that lacks, or that uses a fact which is not there, does not compile. */
export type Words<Table> = {
  readonly [Code in keyof Table]: (facts: Table[Code], formats: Formats) => string;
};

export type SumPart = 'how' | 'source' | 'limits';
/** How a number is computed, where that is from, and what it does not know: by the id of the number. */
export type SumTexts = Record<`sum.${ExplainedId}.${SumPart}`, None>;

/** What ails plants: each cause, each sign, and how to find out. */
export type CauseTexts = Record<`cause.${CauseId}.${'name' | 'why' | 'next'}`, None> &
  Record<`cause.${CauseId}.remedy`, Drench> &
  Record<`sign.${SignId}` | `find-out.${EvidenceId}` | 'remedy.wait', None>;

/** What happened to plants: the event itself is what it is about. */
export type EventFacts = {
  [Kind in PlantEventKind as `event.${Kind}`]: Extract<PlantEvent, { kind: Kind }>;
};

/** What became of all that was raised in a batch. */
export interface ResultFacts {
  'result.batch': {
    up: { alive: number; of: number };
    plantings: number;
    lost: readonly { cause: string; count: number }[];
    suspects: readonly { cause: CauseId; plantings: number }[];
  };
}

/** Every message there is. */
export type AllFacts = StepFacts &
  SumTexts &
  TermFacts &
  OriginFacts &
  MoverFacts &
  CauseTexts &
  EventFacts &
  ResultFacts &
  VerdictFacts &
  SeasonFacts &
  TestFacts &
  ApproachFacts &
  LinkFacts &
  CorrectionFacts &
  UsualFacts &
  AllowedFacts &
  JarFacts &
  RestFacts &
  FigureUnits &
  CostFacts &
  WeatherFacts &
  RuleFacts &
  AdviseFacts &
  TrayFacts &
  LabelSizeFacts &
  CareFacts;
export type AnyMessage = MessageOf<AllFacts>;
/** Codes that say all by themselves. */
export type BareCode = {
  [Code in keyof AllFacts]: AllFacts[Code] extends None ? Code : never;
}[keyof AllFacts];
/** All that a language must say. */
export type Catalog = Words<AllFacts>;
