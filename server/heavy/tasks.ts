import { type TDocumentDefinitions } from 'pdfmake/interfaces';
import { fastAndLimits, type FinderJob } from '#core/finder/formulate';
import { compareCounts } from '#core/stats/compare';
import { type CompareJob } from '#contract/counts';
import { type Looked, lookAt } from '#server/backup/checked';
import { copyWhole, seal, type Sealed, snapshotOf } from '#server/backup/files';
import { prepareRestore } from '#server/backup/restore';
import { pack } from '#server/archive/pack';
import { unpack } from '#server/archive/unpack';
import { Search } from '#core/finder/search';
import { formulateToWire } from '#server/compute/wire';
import { pdf } from '#server/print/documents';

/** Recipes to a slice: some 20 ms. */
const SLICE = 5000;

/** Long work that may run beside the server. What goes in and comes out can be sent to another thread. */
export const tasks = {
  pack,
  unpack,
  /** Whether a file is a whole and unaltered one. */
  look: async ({ file }: { file: string }): Promise<Looked> => Promise.resolve(lookAt(file)),
  /** Of a data file that is open, as it stands. */
  snapshot: async ({ from, to }: { from: string; to: string }): Promise<void> => snapshotOf(from, to),
  seal: async ({ file }: { file: string }): Promise<Sealed> => Promise.resolve(seal(file)),
  copyWhole: async ({ from, to }: { from: string; to: string }): Promise<void> =>
    Promise.resolve(copyWhole(from, to)),
  /** A copy of a backup, ready to be put in place. */
  prepare: async ({ data, backup }: { data: string; backup: string }): Promise<void> =>
    Promise.resolve(prepareRestore(data, backup)),
  compare: async ({ a, b, confidence, detect }: CompareJob) =>
    Promise.resolve(compareCounts(a, b, confidence, detect)),
  pdf: async (definition: TDocumentDefinitions): Promise<Uint8Array> => pdf(definition),
  /** In slices, so that word of a caller who left is heard between them. */
  formulate: async ({ job, top }: { job: FinderJob; top: number }, stopped: () => boolean) => {
    const { fast, limits } = fastAndLimits(job);
    const search = new Search(fast, limits, top);
    while (!stopped() && !search.step(SLICE)) await new Promise(setImmediate);
    return formulateToWire(job, fast, search.result());
  },
};

export type TaskName = keyof typeof tasks;
export type TaskInput<K extends TaskName> = Parameters<(typeof tasks)[K]>[0];
export type TaskOutput<K extends TaskName> = Awaited<ReturnType<(typeof tasks)[K]>>;
