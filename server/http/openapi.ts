import { z } from 'zod';
import {
  batchSheetAnswerSchema,
  evaluationAnswerSchema,
  formulateAnswerSchema,
  hotWaterAnswerSchema,
  problemSchema,
  sowingAnswerSchema,
} from '#contract/compute-answers';
import {
  batchSheetRequestSchema,
  evaluateRequestSchema,
  formulateRequestSchema,
  hotWaterRequestSchema,
  sowingRequestSchema,
} from '#contract/compute-requests';
import { newEntrySchema, newLotSchema } from '#contract/record';
import { calibrateSchema, faultSchema, putSchema } from '#server/instruments/routes';
import { newMeasureSchema } from '#server/measures/routes';
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
      '/api/batches/{id}/entries': {
        ...get('The record of a batch, oldest first'),
        ...post(
          'Add an entry; 409 when another device wrote something else meanwhile',
          newEntrySchema,
          null,
          201,
        ),
      },
      '/api/batches/{id}/stream': get('The record as server-sent events, from Last-Event-ID on'),
      '/api/batches/{id}/labels.pdf': get('Labels; size, count, sown, pricked and potted in the query'),
      '/api/batches/{id}/card.pdf': get('The bench card; units and scoop in the query'),
      '/api/lots': {
        ...get('Purchases and heaps'),
        ...post('Enter a lot', newLotSchema, null, 201),
      },
      '/api/lots/{id}/trace': get('Where a lot went, and where that was used'),
      '/api/measures': {
        ...get('The user’s own measures'),
        ...post('Keep a measure', newMeasureSchema, null, 201),
      },
      '/api/today': get('Steps and re-tests that are due, waiting or open'),
      '/api/instruments': get('Instruments with their calibrations'),
      '/api/instruments/readings': get('One reading of each'),
      '/api/instruments/stream': get('Readings as server-sent events'),
      '/api/instruments/weather': get('Forecast of the simulated weather service'),
      '/api/instruments/{id}/calibrate': post('Calibrate in references', calibrateSchema, null),
      '/api/instruments/{id}/put': post('Stand-in: what lies on it', putSchema, null, 204),
      '/api/instruments/{id}/fault': post('Stand-in: a fault, or none', faultSchema, null, 204),
    },
  };
}
