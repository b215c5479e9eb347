import { type Range } from '#core/units/limits';
import { type MessageOf, messages, type None } from '#core/units/message';

/** Things that are counted in a list. */
export type Things =
  | 'materials'
  | 'ingredients'
  | 'products'
  | 'step-kinds'
  | 'steps'
  | 'crops'
  | 'doses'
  | 'plantings'
  | 'cells'
  | 'arms'
  | 'vessels'
  | 'feeds'
  | 'tests'
  | 'remarks'
  | 'values'
  | 'benches'
  | 'tasks';

/** What would have been taken where something was refused: said in `words/`, after "must be". */
export interface AllowedFacts {
  /** An end may be infinite: then there is none. */
  'allowed.number': { low: number; high: number };
  'allowed.whole': { low: number; high: number };
  'allowed.two-numbers': { low: number; high: number };
  'allowed.one-of': { ids: readonly string[] };
  /** Said by itself: nothing has this name. */
  'allowed.called': { name: string };
  'allowed.entry-kind': { kinds: readonly string[] };
  'allowed.things': { low: number; high: number; what: Things };
  'allowed.text': { low: number; high: number };
  /** As JSON and Zod call kinds of values: string, number, int, boolean, object, array. */
  'allowed.of-kind': { kind: string };
  'allowed.of-schema': None;
  'allowed.yes-no': None;
  'allowed.day': None;
  'allowed.week': None;
  'allowed.moment': None;
  'allowed.client-key': None;
  'allowed.id': None;
  'allowed.something': None;
  'allowed.parts-in-all': { most: number };
  'allowed.as-many-as-have-minimum': { low: number };
  'allowed.above-nothing-of-one': None;
  'allowed.named-once': None;
  'allowed.of-the-shelf': { ids: readonly string[] };
  'allowed.falling-water': None;
  'allowed.drawn-through': None;
  'allowed.one-temperature': None;
  'allowed.share-file': None;
  'allowed.of-this-version': { version: number };
  'allowed.an-approach': None;
  'allowed.most-laid-out': None;
  'allowed.task-id': None;
  'allowed.number-of-sowing': None;
  'allowed.three-days': None;
  'allowed.material-or-properties': None;
  'allowed.litres-or-vessels': None;
  'allowed.with-vessels-only': None;
  'allowed.low-below-high': None;
  'allowed.acid-with-ph': None;
  'allowed.at-least-struck': None;
  'allowed.smaller-picture': { most: number };
  'allowed.parts-by-id': { most: number };
  'allowed.id-with-properties': None;
  'allowed.trays-vessels-litres': { trays: Range; vessels: Range; sparePct: Range; litres: Range };
  'allowed.most-there-were': None;
  'allowed.vessel-shape': None;
  'allowed.whole-zip': None;
  'allowed.members-only': { head: string };
  'allowed.name-once': None;
  'allowed.room-on-disk': { bytes: number };
  'allowed.file-there': None;
  'allowed.as-packed': None;
  'allowed.most-bytes': { most: number };
  'allowed.nested': { most: number };
  'allowed.json-object': None;
  'allowed.archive-with': { head: string };
  'allowed.of-formats': { newest: number };
  'allowed.list-by-name': None;
  'allowed.sum-in': { head: string };
  'allowed.place-in-season': None;
  'allowed.from-plantings': None;
  'allowed.schema-here': { newest: number };
  'allowed.row-taken': None;
  'allowed.table-of-welcome': None;
  'allowed.lines-of-head': { lines: number };
  'allowed.points-there': None;
  'allowed.as-beside': { is: string };
  'allowed.hex': None;
  'allowed.about': { kinds: readonly string[] };
  'allowed.column': None;
  'allowed.header': None;
  'allowed.most-rows': { most: number };
  'allowed.whole-row': None;
  'allowed.own-or-new': { id: string };
  'allowed.number-or-new': { thing: 'lot' | 'line' | 'planting' | 'entry' };
  'allowed.known-item': { kind: string };
  'allowed.unit-of': { unit: string; kind: string };
  'allowed.both-or-neither': { columns: readonly string[] };
  'allowed.known-key': None;
  'allowed.look-again': None;
  'allowed.number-and-key': None;
  'allowed.below-water': { celsius: number };
  'allowed.hot-water-holds': { celsius: number };
  'allowed.between-readings': { ambientC: number; startC: number };
  'allowed.nine-tenths-of-pot': { litres: number };
  'allowed.since-it-stood': { seconds: number };
  'allowed.more-than-empty': { grams: number };
  'allowed.more-than-dish': { grams: number };
  'allowed.at-least-dry': { grams: number };
  'allowed.most-sample': { grams: number };
  'allowed.half-of-scooped': { low: number; high: number };
  'allowed.under-largest': { fromMm: number; underMm: number };
  'allowed.leaves-pores': { pct: number };
  'allowed.product-with': { basis: 'n' | 'p' | 'k' | 'lime' };
  'allowed.another-material': None;
  'allowed.material-with-pores': None;
  'allowed.neutralises-acid': None;
  'allowed.does-not-lime': None;
  'allowed.no-stronger': { mgPerL: number };
  'allowed.burns-the-base': { mgPerL: number; wood: string };
  'allowed.since-it-began': { day: string };
  'allowed.cells-there': { cells: number };
  'allowed.can-be-undone': None;
  'allowed.later-counts-agree': None;
  'allowed.another-part': None;
  'allowed.above-nothing-to': { most: number };
  'allowed.above-nothing': None;
  'allowed.number-in-it': { low: number; high: number; given: number };
  'allowed.most-vessels': { most: number };
  'allowed.path-of-vessels': None;
  'allowed.emergence-pairs': None;
  'allowed.cold-to-warm': None;
  'allowed.task-form': None;
  'allowed.feed-line': None;
  'allowed.one-after-other': None;
  'allowed.dry-of-wet': { grams: number };
  'allowed.nine-tenths-of-vessel': { litres: number };
  'allowed.above-before-lime': { ph: number };
  'allowed.at-least-screen': { mm: number };
  'allowed.time-zone': None;
  'allowed.sack-weighed': None;
  'allowed.not-for-blocks': None;
  'allowed.water-of-mouth': { low: number; high: number };
  'allowed.blocks-of-mix': { fewest: number; most: number; mm: number };
  'allowed.counted-in-nitrogen': None;
  'allowed.deeper-in-pot': { mm: number };
  'allowed.pot-filled-deeper': { ballMm: number; potMm: number };
  'allowed.wider-than-ball': None;
  'allowed.larger-than-ball': None;
  'allowed.no-fault': None;
  'allowed.values-differ': None;
  'allowed.gain-within': { pct: number };
  'allowed.in-no-other': None;
  'allowed.one-to-split': None;
  'allowed.same-vessel': { vessel: string };
  'allowed.counted-first': None;
  'allowed.picture-by-itself': None;
  'allowed.moved-by-itself': None;
  'allowed.not-archived': None;
  'allowed.batch-there': None;
  'allowed.counted-before': None;
  'allowed.most-left': { left: number };
  'allowed.not-later': None;
  'allowed.jpeg': None;
  'allowed.dots': { low: number; high: number };
  'allowed.folder-there': None;
  'allowed.a-file': None;
  'allowed.key-of-one': None;
  'allowed.lot-of-vessels': None;
  'allowed.lot-of-seed': None;
  'allowed.year': None;
  'allowed.month': None;
  'allowed.line-of-today': None;
  'allowed.undo-at-planting': None;
  'allowed.lot-of': { item: string };
  'allowed.another-lot': None;
  'allowed.under-planned': { planned: number };
  'allowed.here-or-taken': { of: string };
  'allowed.most-begun': { most: number };
  'allowed.most-there': { most: number };
  'allowed.most-alive': { most: number };
}
/** Makes one. */
export const allow = messages<AllowedFacts>();
export type Allowed = MessageOf<AllowedFacts>;
