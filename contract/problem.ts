import { z } from 'zod';

/** RFC 9457 problem details, with one entry per thing that is wrong. */
export const problemSchema = z.object({
  type: z.string(),
  title: z.string(),
  status: z.number(),
  detail: z.string(),
  issues: z.array(z.object({ path: z.string(), value: z.unknown(), allowed: z.string() })).optional(),
});
export type ProblemBody = z.infer<typeof problemSchema>;
