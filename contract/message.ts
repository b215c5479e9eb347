import { z } from 'zod';
import { type StepMessage } from '#core/batch/step-facts';
import { type CareMessage } from '#core/plants/care-facts';
import { type SeasonMessage } from '#core/season/season-facts';
import { type Text } from '#core/units/message';
import { type Said } from '#core/units/said';

/** A sentence with its quantities left in. */
export const saidSchema = z
  .array(
    z.union([
      z.string(),
      z.strictObject({ volumeL: z.number() }),
      z.strictObject({ massG: z.number() }),
      z.strictObject({ lengthMm: z.number() }),
      z.strictObject({ doseGPerL: z.number() }),
    ]),
  )
  .readonly() satisfies z.ZodType<Said>;

/** What is so, by its code, and what it is about: said in the reader's language and units by whoever shows it. */
const message = z.object({ say: z.string(), with: z.record(z.string(), z.unknown()) });
export const careMessageSchema = message as unknown as z.ZodType<CareMessage>;
export const seasonMessageSchema = message as unknown as z.ZodType<SeasonMessage>;
/** On batches from before there were messages, a sentence. */
export const stepTextSchema = z.union([message, saidSchema]) as unknown as z.ZodType<Text<StepMessage>>;
