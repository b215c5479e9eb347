import { z } from 'zod';
import {
  batchSheetAnswerSchema,
  evaluationAnswerSchema,
  formulateAnswerSchema,
  hotWaterAnswerSchema,
  problemSchema,
  sowingAnswerSchema,
} from '#core/exchange/answers';
import {
  batchSheetRequestSchema,
  evaluateRequestSchema,
  formulateRequestSchema,
  hotWaterRequestSchema,
  sowingRequestSchema,
} from '#core/exchange/requests';
import { newBatchSchema } from '#server/batches/routes';
import { shelfLineSchema } from '#server/shelf/routes';
import { newMixSchema, newVersionSchema } from '#server/mixes/routes';

const json = (schema: z.ZodType, io: 'input' | 'output'): object => ({
  'application/json': {
    schema: z.toJSONSchema(schema, { io, unrepresentable: 'any', target: 'draft-2020-12' }),
  },
});
const problem = (description: string): object => ({
  description,
  content: {
    'application/problem+json': { schema: z.toJSONSchema(problemSchema, { unrepresentable: 'any' }) },
  },
});
const refusals = {
  400: problem('Bad input: names path, value and range'),
  413: problem('Body too large'),
  415: problem('Body is not application/json'),
};
const post = (
  summary: string,
  request: z.ZodType,
  answer: z.ZodType | null,
  status = 200,
): { post: object } => ({
  post: {
    summary,
    requestBody: { required: true, content: json(request, 'input') },
    responses: {
      [status]: { description: 'Done', ...(answer && { content: json(answer, 'output') }) },
      ...refusals,
    },
  },
});
const get = (summary: string): object => ({
  get: { summary, responses: { 200: { description: 'Done' }, 404: problem('Not there') } },
});

/** The HTTP interface, from the very schemas that check it. */
export function openApi(): object {
  return {
    openapi: '3.1.0',
    info: {
      title: 'Welcome',
      version: '1',
      description: 'Computes and keeps propagation media. Served on loopback.',
    },
    paths: {
      '/api/evaluate': post(
        'Everything known of a recipe in its vessel',
        evaluateRequestSchema,
        evaluationAnswerSchema,
      ),
      '/api/batch-sheet': post(
        'What to scoop, weigh and pour',
        batchSheetRequestSchema,
        batchSheetAnswerSchema,
      ),
      '/api/formulate': post(
        'The best whole-part recipes of what stands on the shelf',
        formulateRequestSchema,
        formulateAnswerSchema,
      ),
      '/api/hot-water': post(
        'Hot water that brings a mix to a temperature',
        hotWaterRequestSchema,
        hotWaterAnswerSchema,
      ),
      '/api/sowing': post(
        'Seeds to a cell and cells to sow for a stand',
        sowingRequestSchema,
        sowingAnswerSchema,
      ),
      '/api/library': get('Materials and amendments with their sources'),
      '/api/shelf': get('What stands on the shelf, with prices'),
      '/api/shelf/{material}': {
        put: post('Put a material on the shelf, price it or take it off', shelfLineSchema, null).post,
      },
      '/api/mixes': {
        ...get('Newest version of every mix'),
        ...post('Keep a recipe', newMixSchema, null, 201),
      },
      '/api/mixes/{id}/versions': {
        ...get('All versions of a mix'),
        ...post('Keep a changed recipe as a new version', newVersionSchema, null, 201),
      },
      '/api/batches': { ...get('Batches, newest first'), ...post('Keep a batch', newBatchSchema, null, 201) },
      '/api/batches/{id}': get('One batch with all it was made from'),
    },
  };
}
