import { type ErrorRequestHandler, type RequestHandler } from 'express';
import { type z } from 'zod';
import { RowProblem } from '#contract/csv';
import { type ProblemBody } from '#contract/problem';
import { labelOf } from '#words/problem';
import { OutOfRange } from '#core/units/check';

type Issue = NonNullable<ProblemBody['issues']>[number];

/** An error that is answered as RFC 9457 problem JSON. */
export class Problem extends Error {
  constructor(
    readonly status: number,
    readonly title: string,
    detail: string,
    readonly issues?: Issue[],
  ) {
    super(detail);
  }
}

export const notFound = (what: string, id: unknown): Problem =>
  new Problem(404, 'Not found', `there is no ${what} ${String(id)}`);

/** Parses with a schema or throws the 400 that names every path, value and range. */
export function parse<T extends z.ZodType>(schema: T, body: unknown): z.output<T> {
  const result = schema.safeParse(body, { reportInput: true });
  if (result.success) return result.data;
  const issues = result.error.issues.slice(0, 20).flatMap((issue) => issuesOf(issue, body));
  throw new Problem(400, 'Not understood', sentence(issues[0]!), issues);
}

function issuesOf(issue: z.core.$ZodIssue, body: unknown): Issue[] {
  const path = issue.path.map(String);
  if (issue.code === 'unrecognized_keys') {
    return issue.keys.map((key) => ({
      path: [...path, key].join('.'),
      value: short(valueAt(body, [...path, key])),
      allowed: 'not a known key here',
    }));
  }
  return [{ path: path.join('.') || '(body)', value: short(valueAt(body, path)), allowed: issue.message }];
}

const valueAt = (body: unknown, path: string[]): unknown =>
  path.reduce<unknown>((at, key) => (at as Record<string, unknown> | undefined)?.[key], body);

/** A value as it goes back: whole when it is small, told by kind when it is not. */
function short(value: unknown): unknown {
  if (value === undefined) return 'missing';
  if (Array.isArray(value)) return `a list of ${value.length}`;
  if (typeof value === 'object' && value !== null) return 'an object';
  if (typeof value === 'number' && !Number.isFinite(value)) return String(value);
  return typeof value === 'string' && value.length > 100 ? `${value.slice(0, 100)}…` : value;
}

const sentence = ({ path, value, allowed }: Issue): string =>
  `${labelOf(path)} ${allowed}, was ${JSON.stringify(value)}`;

/** Bodies are of one kind and say so. */
export const only =
  (kind: string): RequestHandler =>
  (req, _res, next) => {
    const carriesBody = ['POST', 'PUT', 'PATCH'].includes(req.method);
    if (carriesBody && !req.is(kind)) {
      const given = req.get('content-type') ?? 'none';
      throw new Problem(415, 'Unsupported content type', `content-type must be ${kind}, was ${given}`);
    }
    next();
  };

/** The one place where errors become answers. */
export const problems: ErrorRequestHandler = (error: unknown, req, res, next) => {
  if (res.headersSent) {
    next(error);
    return;
  }
  // Who hung up is not answered, and that long work was cut off for it is no fault.
  if (res.closed && (error as Error).name === 'AbortError') return;
  const problem = problemOf(error);
  if (problem.status >= 500) req.log?.error(error);
  res
    .status(problem.status)
    .type('application/problem+json')
    .send(
      JSON.stringify({
        type: 'about:blank',
        title: problem.title,
        status: problem.status,
        detail: problem.message,
        ...(problem.issues && { issues: problem.issues }),
      }),
    );
};

/** What an error is answered with. */
export function problemOf(error: unknown): Problem {
  if (error instanceof Problem) return error;
  if (error instanceof OutOfRange) {
    const issue = { path: error.argument, value: error.value, allowed: `must be ${error.allowed}` };
    return new Problem(400, 'Out of range', sentence(issue), [issue]);
  }
  if (error instanceof RowProblem)
    return problemOf(new OutOfRange('csv', 'this file', `right in every row: ${error.message}`));
  const { code } = (error ?? {}) as { code?: unknown };
  if (typeof code === 'string' && (code.startsWith('SQLITE_') || DISK.has(code))) return storageProblem(code);
  const { type, status, limit } = (error ?? {}) as { type?: string; status?: number; limit?: number };
  if (type === 'entity.parse.failed') return new Problem(400, 'Malformed JSON', 'the body is not JSON');
  if (type === 'entity.too.large')
    return new Problem(413, 'Too large', `the body must be at most ${Math.round((limit ?? 0) / 1000)} kB`);
  if (typeof status === 'number' && status >= 400 && status < 500) {
    return new Problem(
      status,
      'Not accepted',
      error instanceof Error ? error.message : 'the request was not accepted',
    );
  }
  return new Problem(500, 'Something broke', 'the server could not finish this; nothing was saved');
}

/** What the system says of a disk or a folder that takes nothing. */
const DISK = new Set(['ENOSPC', 'EDQUOT', 'EROFS', 'EACCES', 'EPERM']);
const FULL = /^(SQLITE_FULL|SQLITE_IOERR_WRITE|ENOSPC|EDQUOT)/;
const READ_ONLY = /^(SQLITE_READONLY|SQLITE_PERM|SQLITE_CANTOPEN|EROFS|EACCES|EPERM)/;

/** What the disk would not do, in words, with what still works. */
function storageProblem(code: string): Problem {
  const looking = 'Looking things up still works.';
  if (FULL.test(code))
    return new Problem(
      507,
      'No room',
      `the disk is full: nothing was saved. ${looking} Make room, then enter it again`,
    );
  if (READ_ONLY.test(code))
    return new Problem(
      503,
      'Read-only',
      `the data folder cannot be written to: nothing was saved. ${looking} Give this user leave to write there`,
    );
  if (code.startsWith('SQLITE_BUSY') || code.startsWith('SQLITE_LOCKED'))
    return new Problem(503, 'Busy', 'another write took too long: nothing was saved. Try again in a moment');
  if (code.startsWith('SQLITE_CORRUPT') || code === 'SQLITE_NOTADB')
    return new Problem(
      500,
      'Damaged',
      'the data file is damaged: nothing was saved. Stop Welcome and start it again: it then offers the newest good backup',
    );
  return new Problem(500, 'Something broke', 'the database could not do this; nothing was saved');
}

export const BODY_LIMIT = '256kb';
