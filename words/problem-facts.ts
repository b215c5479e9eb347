import { type Words } from '#words/catalog';
import { type RowFacts } from '#core/units/row';
import { type Refusal } from '#core/units/check';
import { type MessageOf, messages, type None } from '#core/units/message';

/** Things that are asked for by their number. */
export type Thing =
  | 'batch'
  | 'backup'
  | 'own-crop'
  | 'device'
  | 'endpoint'
  | 'instrument'
  | 'line'
  | 'lot'
  | 'order'
  | 'material'
  | 'own-material'
  | 'material-or-product'
  | 'mix'
  | 'version'
  | 'page'
  | 'picture'
  | 'planting'
  | 'own-product'
  | 'test'
  | 'trial'
  | 'vessel'
  | 'own-vessel'
  | 'measure'
  | 'water'
  | 'event'
  | 'entry';

/** Why a data file, a copy or a backup is none. */
export interface FaultFacts {
  'fault.altered': { is: string; noted: string };
  'fault.not-there': None;
  'fault.with-backups': None;
  'fault.empty': None;
  /** What the database says of it. */
  'fault.damaged': { says: string | null };
  'fault.loose': { table: string };
  'fault.newer': { schema: number };
  'fault.not-of-welcome': None;
  'fault.unreadable': { says: string };
  'fault.other-rows': { table: string; rows: number };
  /** What the system said. */
  'fault.system': { says: string };
}
export type FaultMessage = MessageOf<FaultFacts>;
/** Makes one. */
export const fault = messages<FaultFacts>();

/** What went wrong with a request. */
export interface ProblemFacts {
  'problem.busy': { under: number; waiting: number };
  'problem.host': { host: string };
  'problem.only-own-ask': None;
  'problem.only-own-write': None;
  'problem.content-type': { kind: string; given: string };
  'problem.not-json': None;
  'problem.too-large': { kB: number };
  'problem.broke': None;
  'problem.no-room': None;
  'problem.read-only': None;
  'problem.locked': None;
  'problem.damaged': None;
  'problem.database': None;
  'problem.only-there': None;
  'problem.another-nursery': None;
  'problem.header': { header: string; given: string };
  'problem.another-one': { thing: Thing };
  'problem.under-way': None;
  'problem.no-authority': None;
  'problem.not-now': None;
  'problem.not-paired': None;
  'problem.no-backup': { why: FaultMessage };
  'problem.not-whole': { why: FaultMessage };
  'problem.none-of-welcome': { why: FaultMessage };
  'problem.not-open': None;
  'problem.real-device': { name: string };
  'problem.no-weather': None;
  'problem.archived': None;
  'problem.written-meanwhile': None;
  'problem.cannot-open': { why: FaultMessage };
  'problem.no-whole-backup': None;
  'problem.not-found': { thing: Thing; id: string };
  'problem.too-often': { what: 'requests' | 'codes' };
  'problem.not-accepted': { why: string | null };
  'problem.not-understood': { refusal: Refusal };
  'problem.out-of-range': { refusal: Refusal };
  'problem.row': RowFacts;
  /** Another problem, at a line of a table. */
  'problem.at-line': { line: number; says: MessageOf<ProblemFacts> };
}
/** Each has a title of a few words. */
export type ProblemTitles = Record<`title.${keyof ProblemFacts}`, None>;
export type ProblemMessage = MessageOf<ProblemFacts>;
/** Makes one. */
export const problem = messages<ProblemFacts>();
/** What a language says of problems: of the server alone, so that no page has to load it. */
export type ProblemWords = Words<ProblemFacts & ProblemTitles & FaultFacts>;
