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
import { formulateToWire } from '#server/book/compute/wire';
import { type Reader } from '#words/reader';
import { pdf } from '#server/out/print/documents';

/** Recipes to a slice: some 20 ms. */
const SLICE = 5000;

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
  formulate: async ({ job, top, reader }: { job: FinderJob; top: number; reader: Reader }) => {
    const { fast, limits } = fastAndLimits(job);
    const search = new Search(fast, limits, top);
    while (!search.step(SLICE));
    return Promise.resolve(formulateToWire(job, fast, search.result(), reader));
  },
} satisfies Tasks;
