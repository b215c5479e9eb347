import { z } from 'zod';
import { type Endpoint, endpoints } from '#contract/endpoints';
import { problemSchema } from '#contract/problem';
import { type EndpointName, routes } from '#contract/routes';

const schemaOf = (schema: z.ZodType, io: 'input' | 'output'): Record<string, unknown> => {
  const { $schema, ...rest } = z.toJSONSchema(schema, {
    io,
    unrepresentable: 'any',
    target: 'draft-2020-12',
  });
  void $schema;
  return rest;
};

const problem = (description: string): object => ({
  description,
  content: { 'application/problem+json': { schema: { $ref: '#/components/schemas/Problem' } } },
});

const binary = {
  pdf: 'application/pdf',
  jpeg: 'image/jpeg',
  file: 'application/octet-stream',
} as const;

/** Problems that follow from what an endpoint takes. */
function refusalsOf(method: string, path: string, endpoint: Endpoint): Record<string, object> {
  const said: Partial<Record<number, string>> = {
    ...((endpoint.body ?? endpoint.query ?? path.includes(':id')) && {
      400: 'Not understood: names path, value and range',
    }),
    ...((path.includes(':') || endpoint.status === 201) && { 404: 'Not there' }),
    ...(method !== 'GET' &&
      method !== 'DELETE' && {
        413: 'Body too large',
        415: endpoint.body === 'bytes' ? `Body is not ${binary.file}` : 'Body is not application/json',
      }),
    ...(method !== 'GET' && { 412: 'Meant for another data folder, or for another thing under that number' }),
    // What the door to the network answers, and the gate that lets in pages of this server alone.
    401: 'From the network without the token of a paired device',
    403: endpoint.here ? 'Only at the machine itself' : 'Only pages of this server may',
    421: 'Not under this name',
    429: 'Too many requests from there: wait as long as Retry-After says',
    ...endpoint.refuses,
    500: 'Something broke; nothing was saved',
  };
  return Object.fromEntries(
    Object.entries(said).map(([status, description]) => [status, problem(description!)]),
  );
}

function answerOf({ answer, status }: Endpoint): Record<string, object> {
  if (answer === 'nothing') return { 204: { description: 'Done' } };
  const content =
    answer === 'pdf' || answer === 'jpeg' || answer === 'file'
      ? { [binary[answer]]: { schema: { type: 'string', format: 'binary' } } }
      : answer === 'events' || answer === 'calendar'
        ? { [answer === 'events' ? 'text/event-stream' : 'text/calendar']: { schema: { type: 'string' } } }
        : { 'application/json': { schema: schemaOf(answer, 'output') } };
  return {
    [status]: { description: 'Done', content },
    ...(status === 201 && { 200: { description: 'Done before: the key is known', content } }),
  };
}

const pathParameters = (path: string): object[] =>
  [...path.matchAll(/:(\w+)/g)].map(([, name]) => ({
    name,
    in: 'path',
    required: true,
    schema: name === 'id' ? { type: 'integer', minimum: 1 } : { type: 'string' },
  }));

function queryParameters({ query }: Endpoint): object[] {
  if (!query) return [];
  const { properties = {}, required = [] } = schemaOf(query, 'input') as {
    properties?: Record<string, object>;
    required?: string[];
  };
  return Object.entries(properties).map(([name, schema]) => ({
    name,
    in: 'query',
    required: required.includes(name),
    schema,
  }));
}

function operation(name: EndpointName): object {
  const endpoint: Endpoint = endpoints[name];
  const [method, path] = routes[name];
  const parameters = [...pathParameters(path), ...queryParameters(endpoint)];
  return {
    operationId: name,
    summary: endpoint.says,
    tags: [path.split('/')[1]!.replace(/\..*/, '')],
    ...(parameters.length > 0 && { parameters }),
    ...(endpoint.body && {
      requestBody: {
        required: true,
        content:
          endpoint.body === 'bytes'
            ? { [binary.file]: { schema: { type: 'string', format: 'binary' } } }
            : { 'application/json': { schema: schemaOf(endpoint.body, 'input') } },
      },
    }),
    responses: { ...answerOf(endpoint), ...refusalsOf(method, path, endpoint) },
  };
}

/** The HTTP interface as OpenAPI 3.1, from the very table that serves it. */
export function openApi(): { openapi: string; [more: string]: unknown } {
  const paths: Record<string, Record<string, object>> = {};
  for (const name of Object.keys(routes) as EndpointName[]) {
    const [method, path] = routes[name];
    const at = `/api${path.replace(/:(\w+)/g, '{$1}')}`;
    paths[at] = { ...paths[at], [method.toLowerCase()]: operation(name) };
  }
  const tags = new Set(
    (Object.keys(routes) as EndpointName[]).map((n) => routes[n][1].split('/')[1]!.replace(/\..*/, '')),
  );
  return {
    openapi: '3.1.0',
    info: {
      title: 'Welcome',
      version: '1',
      description: 'Computes and keeps propagation media.',
    },
    servers: [{ url: '/', description: 'This server, on loopback' }],
    // On loopback nobody is asked who they are; from the network by the token of a paired device.
    security: [{}, { device: [] }],
    tags: [...tags].map((name) => ({ name, description: `All about ${name}` })),
    paths,
    components: {
      schemas: { Problem: schemaOf(problemSchema, 'output') },
      securitySchemes: { device: { type: 'apiKey', in: 'cookie', name: 'welcome-device' } },
    },
  };
}
