import { z } from 'zod';
import { recipeShape } from '#contract/evaluate';
import { text } from '#contract/fields';
import { verdicts } from '#core/advise/findings';
import { severities } from '#core/judge/flag';
import { families } from '#core/material/family';
import { subjects } from '#core/recipe/flag-code';

const MOST_NAMED = 400;

export const adviseRequestSchema = z.strictObject({
  ...recipeShape,
  /** Ids of what is there; left out, all of the library is. */
  shelf: z.array(text(60)).max(MOST_NAMED).optional(),
  /** Families that are never used. */
  never: z.array(z.enum(families)).max(families.length).optional(),
});
export type AdviseRequest = z.output<typeof adviseRequestSchema>;

/** A change that was tried, and what comes of it. */
const waySchema = z.object({
  text: z.string(),
  edits: z.number(),
  /** As it may be sent to be evaluated. */
  recipe: z.looseObject({}),
  verdict: z.enum(verdicts),
  readings: z.record(z.string(), z.number()),
});

export const adviseAnswerSchema = z.object({
  verdict: z.enum(verdicts),
  findings: z.array(
    z.object({
      subject: z.enum(subjects),
      severity: z.enum(severities),
      codes: z.array(z.string()),
      text: z.string(),
      ways: z.array(waySchema),
    }),
  ),
  care: z.array(z.string()),
  mend: waySchema.nullable(),
});
export type AdviseAnswer = z.output<typeof adviseAnswerSchema>;
