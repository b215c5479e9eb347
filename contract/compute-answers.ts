import { z } from 'zod';
import { scoredIds } from '#core/finder/aims';
import { severities } from '#core/judge/flag';
import { readingIds } from '#core/judge/readings';

const numbers = <const K extends string>(...keys: K[]) =>
  z.object(Object.fromEntries(keys.map((k) => [k, z.number()])) as Record<K, z.ZodNumber>);

const dose = z.object({ amendment: z.string(), gPerL: z.number() });

/** The answer of `/api/evaluate`. */
export const evaluationAnswerSchema = z.object({
  mix: numbers(
    'mixingShrinkagePct',
    'dryBulkDensityGPerL',
    'totalPorosityPct',
    'waterAt10CmPct',
    'airAt10CmPct',
    'easilyAvailableWaterPct',
    'bufferMeqPerLPerPh',
    'phBeforeLime',
    'ph',
    'saltsMeqPerL',
    'ecSaturatedMSPerCm',
    'ec1to2MSPerCm',
    'ecDisplacedMSPerCm',
    'largestParticleMm',
    'cohesion',
    'peatPct',
  ).extend({ elementsMgPerL: numbers('n', 'p', 'k', 'ca', 'mg', 's') }),
  vessel: numbers('volumeMl', 'waterPct', 'airPct', 'airAfterDrydownPct', 'wetWeightG', 'availableWaterMl'),
  lime: dose.nullable(),
  readings: z.array(
    z.object({
      id: z.enum(readingIds),
      value: z.number(),
      unit: z.string(),
      low: z.number(),
      high: z.number(),
      verdict: z.enum(['low', 'ok', 'high']),
    }),
  ),
  flags: z.array(
    z.object({ code: z.string(), severity: z.enum(severities), text: z.string(), remedy: z.string() }),
  ),
});
export type EvaluationAnswer = z.infer<typeof evaluationAnswerSchema>;

/** The answer of `/api/batch-sheet`. */
export const batchSheetAnswerSchema = z.object({
  litres: z.number(),
  components: z.array(z.object({ material: z.string(), looseLitres: z.number(), massKg: z.number() })),
  amendments: z.array(z.object({ amendment: z.string(), grams: z.number() })),
  waterLitres: z.number(),
});

export const hotWaterAnswerSchema = numbers('waterLitres', 'finalC', 'finalSaturation');
export const sowingAnswerSchema = numbers('emptyFraction', 'sparesPerCell', 'cells');

const parts = z.record(z.string(), z.number());
const scored = z.enum(scoredIds);

/** The answer of `/api/formulate`: best first, 0 is the middle of every window. */
export const formulateAnswerSchema = numbers(
  'tried',
  'commonDivisor',
  'overLimits',
  'noPores',
  'feasible',
).extend({
  recipes: z.array(
    z.object({
      parts,
      score: z.number(),
      costPerL: z.number().nullable(),
      lime: dose.nullable(),
      amendments: z.array(dose),
      evaluation: evaluationAnswerSchema,
    }),
  ),
  /** Only where nothing meets every window. */
  conflict: z
    .object({
      metAlone: z.partialRecord(scored, z.number()),
      never: z.array(scored),
      pairs: z.array(z.tuple([scored, scored])),
      nearest: z.object({ reading: scored, value: z.number(), parts }).nullable(),
    })
    .nullable(),
});

/** RFC 9457 problem details, with one entry per thing that is wrong. */
export const problemSchema = z.object({
  type: z.string(),
  title: z.string(),
  status: z.number(),
  detail: z.string(),
  issues: z.array(z.object({ path: z.string(), value: z.unknown(), allowed: z.string() })).optional(),
});
