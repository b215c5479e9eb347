import { z } from 'zod';
import { clientKey, day, int, list, moment, num, oneOf, rowId, text, yesNo, taking } from '#contract/fields';
import { allow } from '#core/units/allowed';
import { correctionStepSchema } from '#contract/message';
import { type TestResult } from '#core/batch/tests/bench-test';
import { benchTestIds } from '#core/batch/tests/bench-tests';
import { limits } from '#core/units/limits';

const testSchema = z.strictObject({
  kind: z.literal('test'),
  test: oneOf(benchTestIds),
  /** Numbers as they were read, and names of what was chosen. */
  values: z.record(text(40), z.union([num([-1e9, 1e9]), text(40)])),
});
const useSchema = z.strictObject({
  kind: z.literal('use'),
  what: text(120),
  count: int(limits.usedCount),
  on: day,
  /** Vessel that was filled, by its id: what it takes is gone from the tub. */
  vessel: text(60).optional(),
  /** Lot that the empty vessels came of. */
  lot: int([1, 1e9]).optional(),
});
const otherKinds = [
  z.strictObject({
    kind: z.literal('tick'),
    step: text(40),
    load: int(limits.loads),
    done: yesNo,
  }),
  z.strictObject({ kind: z.literal('correction'), steps: list(correctionStepSchema, [1, 20], 'steps') }),
  z.strictObject({
    kind: z.literal('lot'),
    item: text(60),
    lot: int([1, 1e9]),
    /** What came of this lot, in its unit; all that the batch takes where nothing is said. */
    amount: num(limits.stock).optional(),
    /** The lot that the rest came of, where this one ended. */
    rest: int([1, 1e9]).optional(),
  }),
  /** So much mix is left in the tub, measured. */
  z.strictObject({ kind: z.literal('left'), litres: num(limits.stock), on: day.optional() }),
  /** It is mixed, whatever was ticked of it: the tub is full. */
  z.strictObject({ kind: z.literal('made'), on: day }),
  /** Takes back something filled, a look at the tub, that it was made, or a taking back. */
  z.strictObject({ kind: z.literal('undo'), of: rowId }),
  /** Whether a filling that looks like another one is that one. */
  z.strictObject({ kind: z.literal('same'), of: rowId, same: yesNo }),
  z.strictObject({ kind: z.literal('note'), text: text(2000) }),
] as const;
const { error } = taking(
  allow('allowed.entry-kind', {
    kinds: ['tick', 'test', 'correction', 'lot', 'use', 'left', 'made', 'undo', 'same', 'note'],
  }),
);

/** What can be entered on a batch. */
export const entryDataSchema = z.discriminatedUnion('kind', [...otherKinds, useSchema, testSchema], {
  error,
});
export type EntryData = z.output<typeof entryDataSchema>;

export const newEntrySchema = z.strictObject({
  key: clientKey,
  /** Newest entry of this batch that the client had seen; 0 for none. */
  seen: int([0, Number.MAX_SAFE_INTEGER]),
  /** Entries of this device that it had made by then, acknowledged or not: it never clashes with itself. */
  own: z.array(clientKey).max(50).default([]),
  /** Client key of the batch that is meant: a number alone means another one in a restored folder. */
  batchKey: clientKey.optional(),
  data: entryDataSchema,
});
export type NewEntry = z.output<typeof newEntrySchema>;

const resultSchema = z.object({
  value: z.number(),
  unit: z.string(),
  low: z.number().nullable(),
  high: z.number().nullable(),
  verdict: oneOf(['low', 'ok', 'high']),
  // What entries of before say by themselves; now it is said from the result.
  says: z.string().optional(),
  measures: z
    .object({
      airPct: z.number(),
      ph: z.number(),
      ecSaturatedMSPerCm: z.number(),
      saturation: z.number(),
      shrinkagePct: z.number(),
    })
    .partial()
    .optional(),
  poresPct: z.object({ low: z.number(), high: z.number() }).optional(),
}) satisfies z.ZodType<TestResult>;

/** As it is kept: a test with what it came to. */
export const keptDataSchema = z.discriminatedUnion(
  'kind',
  [
    ...otherKinds,
    useSchema.extend({
      /** What the vessels took, reckoned on the day. */
      litres: z.number().optional(),
      /** The planting that it is. */
      planting: rowId.optional(),
      /** Event of the planting that topped it up: no vessel was filled anew. */
      topped: rowId.optional(),
      /** An entry of the same day that looks like the same filling: it counts once until somebody says. */
      like: rowId.optional(),
      /** Of a planting from before fillings were entered with it. */
      reckoned: z.boolean().optional(),
    }),
    testSchema.extend({ result: resultSchema.optional() }),
  ],
  { error },
);
export type KeptData = z.output<typeof keptDataSchema>;

export const entrySchema = z.object({
  id: rowId,
  batchId: rowId,
  key: clientKey,
  subject: z.string(),
  data: keptDataSchema,
  at: moment,
});
export type Entry = z.output<typeof entrySchema>;

export const ENTRY_FORMAT = 2;

/** Positions that format 1 kept where names are kept now. */
const positions: Record<string, Record<string, readonly string[]>> = {
  squeeze: { grade: ['dusty', 'crumbles', 'clump', 'beads', 'oozes', 'slurry'] },
  ec: { method: ['saturated', 'displaced', 'oneToTwo', 'oneToFive'] },
};

/** Entry data as it is stored, of any format that ever was. @throws ZodError when it is none of them */
export function readEntryData(stored: unknown, format: number): KeptData {
  const data = stored as { kind?: string; test?: string; values?: Record<string, unknown> };
  const names = format === 1 && data.kind === 'test' ? positions[data.test ?? ''] : undefined;
  if (!names || !data.values) return keptDataSchema.parse(stored);
  const values = Object.entries(data.values).map(([field, value]) => [
    field,
    names[field]?.[Math.round(Number(value))] ?? value,
  ]);
  return keptDataSchema.parse({ ...data, values: Object.fromEntries(values) as object });
}
