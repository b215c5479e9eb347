import { none } from '#core/units/message';
import { type ErrorRequestHandler, type RequestHandler } from 'express';
import { type z } from 'zod';
import { RowProblem } from '#contract/csv';
import { allowedBy } from '#contract/fields';
import { type ProblemBody } from '#contract/problem';
import { type Allowed } from '#core/units/allowed';
import { allowedSays } from '#words/problem';
import { problem, type ProblemMessage, type Thing } from '#words/problem-facts';
import { problemSaid } from '#words/problem-said';
import { readerOf } from '#server/base/http/reader';
import { OutOfRange, type Refusal } from '#core/units/check';

/** What is wrong with one value. */
interface KeptIssue {
  path: string;
  value: unknown;
  allowed: Allowed;
}

/** An error that is answered as RFC 9457 problem JSON, in the words of who asked. */
export class Problem extends Error {
  constructor(
    readonly status: number,
    readonly says: ProblemMessage,
    readonly issues?: KeptIssue[],
  ) {
    super(`${says.say.replace('problem.', '')} ${JSON.stringify(says.with)}`);
  }
}

export const notFound = (thing: Thing, id: unknown): Problem =>
  new Problem(404, problem('problem.not-found', { thing, id: String(id) }));

/** Parses with a schema or throws the 400 that names every path, value and range. */
export function parse<T extends z.ZodType>(schema: T, body: unknown): z.output<T> {
  const result = schema.safeParse(body, { reportInput: true });
  if (result.success) return result.data;
  const issues = result.error.issues.slice(0, 20).flatMap((issue) => issuesOf(issue, body));
  throw new Problem(
    400,
    problem('problem.not-understood', { refusal: refusalOf(issues[0]!) }),
    issues.map((issue) => ({ ...issue, value: short(issue.value) })),
  );
}

function issuesOf(issue: z.core.$ZodIssue, body: unknown): KeptIssue[] {
  const path = issue.path.map(String);
  const allowed = allowedBy(issue);
  const paths = issue.code === 'unrecognized_keys' ? issue.keys.map((key) => [...path, key]) : [path];
  return paths.map((at) => ({ path: at.join('.') || '(body)', value: valueAt(body, at), allowed }));
}

const refusalOf = ({ path, value, allowed }: KeptIssue): Refusal => ({ argument: path, value, allowed });

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

/** Bodies are of one kind and say so. */
export const only =
  (kind: string): RequestHandler =>
  (req, _res, next) => {
    const carriesBody = ['POST', 'PUT', 'PATCH'].includes(req.method);
    if (carriesBody && !req.is(kind)) {
      const given = req.get('content-type') ?? 'none';
      throw new Problem(415, problem('problem.content-type', { kind, given }));
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
  const reader = readerOf(req);
  const { status, says, issues } = problemOf(error);
  if (status >= 500) req.log?.error(error);
  const body: ProblemBody = {
    type: 'about:blank',
    status,
    ...problemSaid(says, reader),
    ...(issues && {
      issues: issues.map(({ path, value, allowed }) => ({
        ...{ path, value },
        // What takes it is a program: its units are those of the path.
        allowed: `must be ${allowedSays(allowed, { ...reader, units: 'metric' })}`,
      })),
    }),
  };
  res.status(status).type('application/problem+json').send(JSON.stringify(body));
};

/** What an error is answered with. */
export function problemOf(error: unknown): Problem {
  if (error instanceof Problem) return error;
  if (error instanceof OutOfRange) {
    const issue = { path: error.argument, value: error.value, allowed: error.allowed };
    return new Problem(400, problem('problem.out-of-range', { refusal: refusalOf(issue) }), [issue]);
  }
  if (error instanceof RowProblem) {
    const { row } = error;
    return new Problem(400, problem('problem.row', row), [
      { path: 'csv', value: row.was, allowed: row.allowed },
    ]);
  }
  const { code } = (error ?? {}) as { code?: unknown };
  if (typeof code === 'string' && (code.startsWith('SQLITE_') || DISK.has(code))) return storageProblem(code);
  const { type, status, limit } = (error ?? {}) as { type?: string; status?: number; limit?: number };
  if (type === 'entity.parse.failed') return new Problem(400, problem('problem.not-json', none));
  if (type === 'entity.too.large')
    return new Problem(413, problem('problem.too-large', { kB: Math.round((limit ?? 0) / 1000) }));
  if (typeof status === 'number' && status >= 400 && status < 500) {
    const why = error instanceof Error ? error.message : null;
    return new Problem(status, problem('problem.not-accepted', { why }));
  }
  return new Problem(500, problem('problem.broke', none));
}

/** What the system says of a disk or a folder that takes nothing. */
const DISK = new Set(['ENOSPC', 'EDQUOT', 'EROFS', 'EACCES', 'EPERM']);
const FULL = /^(SQLITE_FULL|SQLITE_IOERR_WRITE|ENOSPC|EDQUOT)/;
const READ_ONLY = /^(SQLITE_READONLY|SQLITE_PERM|SQLITE_CANTOPEN|EROFS|EACCES|EPERM)/;

/** What the disk would not do, in words, with what still works. */
function storageProblem(code: string): Problem {
  if (FULL.test(code)) return new Problem(507, problem('problem.no-room', none));
  if (READ_ONLY.test(code)) return new Problem(503, problem('problem.read-only', none));
  if (code.startsWith('SQLITE_BUSY') || code.startsWith('SQLITE_LOCKED'))
    return new Problem(503, problem('problem.locked', none));
  if (code.startsWith('SQLITE_CORRUPT') || code === 'SQLITE_NOTADB')
    return new Problem(500, problem('problem.damaged', none));
  return new Problem(500, problem('problem.database', none));
}

export const BODY_LIMIT = '256kb';
