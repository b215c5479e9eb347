import { z } from 'zod';
import { benchTestIds } from '#core/batch/bench-tests';
import { int, num, oneOf, text } from '#contract/fields';

const day = z.iso.date({ error: 'must be a day, YYYY-MM-DD' });

/** What can be entered on a batch. */
export const entryDataSchema = z.discriminatedUnion(
  'kind',
  [
    z.strictObject({
      kind: z.literal('tick'),
      step: text(40),
      load: int(0, 200),
      done: z.boolean({ error: 'must be true or false' }),
    }),
    z.strictObject({
      kind: z.literal('test'),
      test: oneOf(benchTestIds),
      values: z.record(text(40), num(-1e9, 1e9)),
    }),
    z.strictObject({ kind: z.literal('correction'), steps: z.array(text(300)).min(1).max(20) }),
    z.strictObject({ kind: z.literal('lot'), item: text(60), lot: int(1, 1e9) }),
    z.strictObject({ kind: z.literal('use'), what: text(120), count: int(1, 1_000_000), on: day }),
    z.strictObject({ kind: z.literal('note'), text: text(2000) }),
  ],
  { error: 'must be an entry of kind tick, test, correction, lot, use or note' },
);
export type EntryData = z.output<typeof entryDataSchema>;

export const newEntrySchema = z.strictObject({
  key: z.uuid({ error: 'must be a UUID made by the client: the same key twice is one entry' }),
  /** Newest entry of this batch that the client had seen; 0 for none. */
  seen: z.number().int().min(0),
  data: entryDataSchema,
});

export const newLotSchema = z.strictObject({
  item: text(60),
  name: text(120),
  receivedOn: day,
  note: z.string().trim().max(2000, { error: 'must be text of at most 2000 characters' }).default(''),
});
