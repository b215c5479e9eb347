import { z } from 'zod';
import { type CorrectionStepMessage } from '#core/batch/correct-facts';
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
const named = z.strictObject({ id: z.string().min(1).max(60), name: z.string().min(1).max(120) });
const amount = z.number().nonnegative();
const does = <Code extends CorrectionStepMessage['say'], Facts extends z.ZodType>(say: Code, facts: Facts) =>
  z.strictObject({ say: z.literal(say), with: facts });
/** A step that put a batch right; a sentence in entries of before. */
export const correctionStepSchema = z.union([
  z.string().min(1).max(300),
  does('correct.add-material', z.strictObject({ material: named, looseLitres: amount })),
  does('correct.add-lime', z.strictObject({ product: named, grams: amount })),
  does('correct.leach', z.strictObject({ litres: amount })),
  does('correct.add-water', z.strictObject({ litres: amount })),
  does('correct.add-dry-mix', z.strictObject({ litres: amount })),
  does('correct.spread-out', z.record(z.string(), z.never())),
]) satisfies z.ZodType<CorrectionStepMessage | string>;
