import { type TDocumentDefinitions } from 'pdfmake/interfaces';
import { fastAndLimits, type FinderJob } from '#core/finder/formulate';
import { compareCounts } from '#core/stats/compare';
import { type CompareJob } from '#contract/counts';
import { type Checked, lookAt } from '#server/out/backup/checked';
import { copyWhole, seal, type SealedFile, snapshotOf } from '#server/out/backup/files';
import { prepareRestore } from '#server/out/backup/restore';
import { pack } from '#server/out/archive/pack';
import { unpack } from '#server/out/archive/unpack';
import { type Tasks } from '#server/base/heavy/pool';
import { Search } from '#core/finder/search';
import { advise, type AdviseJob } from '#server/book/compute/advise';
import { formulateToWire } from '#server/book/compute/wire';
import { type MixInput } from '#core/mix/evaluate';
import { defaultSpreads } from '#core/spread/spreads';
import { type Keeping, type WateringRule } from '#core/weeks/keeping';
import { RuleSearch } from '#core/weeks/rule';
import { ruleSays } from '#core/weeks/rule-facts';
import { read } from '#words/read';
import { type Reader } from '#words/reader';
import { onePage, pdf } from '#server/out/print/documents';

/** Recipes to a slice: some 20 ms. */
const SLICE = 5000;

/** Rules to a slice. */
const RULES = 100;
/** The search puts its own in the place of it. */
const ANY_RULE: WateringRule = { waterAt: 0.5, leachPct: 0, feedNMgPerL: 0, feedFromDay: 1 };
interface RuleJob {
  input: MixInput;
  keeping: Omit<Keeping, 'rule'>;
  reader: Reader;
}

/** Long work that may run beside the server. What goes in and comes out can be sent to another thread. */
export const tasks = {
  pack,
  unpack,
  /** Whether a file is a whole and unaltered one. */
  look: async ({ file }: { file: string }): Promise<Checked> => Promise.resolve(lookAt(file)),
  /** Of a data file that is open, as it stands. */
  snapshot: async ({ from, to }: { from: string; to: string }): Promise<void> => snapshotOf(from, to),
  seal: async ({ file }: { file: string }): Promise<SealedFile> => Promise.resolve(seal(file)),
  copyWhole: async ({ from, to }: { from: string; to: string }): Promise<void> =>
    Promise.resolve(copyWhole(from, to)),
  /** A copy of a backup, ready to be put in place. */
  prepare: async ({ data, backup }: { data: string; backup: string }): Promise<void> =>
    Promise.resolve(prepareRestore(data, backup)),
  compare: async ({ a, b, confidence, detect }: CompareJob) =>
    Promise.resolve(compareCounts(a, b, confidence, detect)),
  pdf: async (definition: TDocumentDefinitions): Promise<Uint8Array> => pdf(definition),
  /** In the largest type that fits one page. */
  onePage: async (definitions: TDocumentDefinitions[]): Promise<Uint8Array> => onePage(definitions),
  formulate: async ({ job, top, reader }: { job: FinderJob; top: number; reader: Reader }) => {
    const { fast, limits } = fastAndLimits(job);
    const search = new Search(fast, limits, top);
    while (!search.step(SLICE));
    return Promise.resolve(formulateToWire(job, fast, search.result(), reader));
  },
  advise: async (job: AdviseJob) => Promise.resolve(advise(job)),
  rule: async ({ input, keeping, reader }: RuleJob) => {
    const search = new RuleSearch(input, { ...keeping, rule: ANY_RULE }, defaultSpreads);
    while (!search.try(RULES));
    const found = search.result()!;
    const { rule, odds, left, tried } = found;
    const says = ruleSays(found, input.stage, keeping.plant)
      .map((message) => read(message, reader))
      .join(' ');
    return Promise.resolve({ rule, odds, says, left, tried });
  },
} satisfies Tasks;
