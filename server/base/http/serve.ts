import { allow } from '#core/units/allowed';
import { problem } from '#words/problem-facts';
import { none } from '#core/units/message';
import { createReadStream } from 'node:fs';
import { stat } from 'node:fs/promises';
import { pipeline } from 'node:stream/promises';
import { type Request, type Response, Router } from 'express';
import { z } from 'zod';
import { type Answer, type BodyTaken, type Endpoint, endpoints, type QueryTaken } from '#contract/endpoints';
import { type EndpointName, type Params, routes } from '#contract/routes';
import { OutOfRange } from '#core/units/check';
import { isFromAfar } from '#server/base/http/afar';
import { parse, Problem } from '#server/base/http/problem';

/** What a handler gets: checked, with defaults filled in. */
export interface AskedOfServer<K extends EndpointName> {
  params: Params<K>;
  query: QueryTaken<K>;
  body: BodyTaken<K>;
  req: Request;
  res: Response;
}

/** The answer to a create whose key was known already: 200, not 201. */
export class Again<A> {
  constructor(readonly answer: A) {}
}

/** A file that is sent from the disk. */
export interface SentFile {
  path: string;
  /** Told when it is sent, or cannot be. */
  gone?: () => void;
}

type Kind<K extends EndpointName> = (typeof endpoints)[K]['answer'];
type Reply<K extends EndpointName> =
  Kind<K> extends z.ZodType
    ? Answer<K> | Again<Answer<K>>
    : Kind<K> extends 'file'
      ? SentFile
      : Kind<K> extends 'pdf' | 'jpeg'
        ? Buffer
        : Kind<K> extends 'calendar'
          ? string
          : void;
type Handler<K extends EndpointName> = (asked: AskedOfServer<K>) => Reply<K> | Promise<Reply<K>>;

/** Serves the endpoints of the contract: parses what comes in, sends what the handler gives back. */
export class Api {
  readonly router = Router();
  private readonly served = new Set<EndpointName>();

  /** @param checkAnswers whether every answer is held against its schema: in tests, where a slip must not pass */
  constructor(private readonly checkAnswers = false) {}

  serve<K extends EndpointName>(name: K, handle: Handler<K>): void {
    if (this.served.has(name)) throw new Error(`${name} is served twice`);
    this.served.add(name);
    const [method, path] = routes[name];
    const endpoint: Endpoint = endpoints[name];
    const verb = method.toLowerCase() as 'get' | 'post' | 'put' | 'patch' | 'delete';
    this.router[verb](path, async (req, res) => {
      if (endpoint.here && isFromAfar(req)) throw new Problem(403, problem('problem.only-there', none));
      const reply: unknown = await handle({
        params: paramsOf(req) as Params<K>,
        query: (endpoint.query && parse(endpoint.query, req.query)) as QueryTaken<K>,
        body: bodyOf(endpoint, req) as BodyTaken<K>,
        req,
        res,
      });
      if (res.headersSent || res.destroyed) return;
      if (endpoint.answer === 'nothing') res.status(204).end();
      else if (endpoint.answer === 'pdf') res.type('application/pdf').send(reply);
      else if (endpoint.answer === 'file') await sendFile(res, reply as SentFile);
      else if (endpoint.answer === 'jpeg') {
        // A picture never changes under its number; on a device whose leave may be taken away nothing of it stays.
        const kept = isFromAfar(req) ? 'no-store' : 'private, max-age=31536000, immutable';
        res.set('Cache-Control', kept).type('image/jpeg').send(reply);
      } else if (endpoint.answer === 'calendar') res.type('text/calendar; charset=utf-8').send(reply);
      else if (endpoint.answer !== 'events') this.send(res, endpoint, endpoint.answer, reply);
    });
  }

  /** @throws Error naming the endpoints of the contract that nothing serves */
  whole(): Router {
    const missing = (Object.keys(routes) as EndpointName[]).filter((name) => !this.served.has(name));
    if (missing.length > 0) throw new Error(`nothing serves ${missing.join(', ')}`);
    return this.router;
  }

  private send(res: Response, endpoint: Endpoint, schema: z.ZodType, reply: unknown): void {
    const again = reply instanceof Again;
    const answer: unknown = again ? reply.answer : reply;
    if (this.checkAnswers) {
      const wrong = schema.safeParse(JSON.parse(JSON.stringify(answer))).error;
      if (wrong) throw new Error(`the answer is not as the contract says: ${z.prettifyError(wrong)}`);
    }
    res.status(again ? 200 : endpoint.status).json(answer);
  }
}

async function sendFile(res: Response, { path, gone }: SentFile): Promise<void> {
  try {
    const { size } = await stat(path);
    // As it is, so that its size is known beforehand.
    res.set('cache-control', 'no-store, no-transform');
    res.type('application/octet-stream').set('content-length', String(size));
    await pipeline(createReadStream(path), res);
  } catch (error) {
    // Who hung up needs no answer.
    if (!res.destroyed) throw error;
  } finally {
    gone?.();
  }
}

function bodyOf({ body }: Endpoint, req: Request): unknown {
  // A file is read from the request by who takes it.
  return body === 'bytes' ? undefined : body && parse(body, req.body);
}

/** `id` is the number of a row. @throws OutOfRange when it is not a whole number from 1 */
function paramsOf({ params }: Request): Record<string, string | number> {
  if (params['id'] === undefined) return params as Record<string, string>;
  const id = Number(params['id']);
  if (!Number.isSafeInteger(id) || id < 1)
    throw new OutOfRange('id', params['id'], allow('allowed.whole', { low: 1, high: Infinity }));
  return { ...(params as Record<string, string>), id };
}
