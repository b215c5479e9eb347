import { gzipSync } from 'node:zlib';
import { type RequestHandler, type Response } from 'express';
import { type EndpointName, routes } from '#contract/routes';
import { type Db } from '#server/base/database/db';
import { Known } from '#server/base/database/known';

/** What every device asks for again and again, and what takes long: reckoned from the database and the day alone. */
const names = [
  'plantings',
  'plantCare',
  'plantGroups',
  'tender',
  'today',
  'batches',
] satisfies EndpointName[];

const MOST = 64;
/** Smaller ones are not worth packing. */
const PACKED_FROM = 1024;
/** Fast before small: whoever wrote something waits for this. */
const PACKING = { level: 2 };

interface Packed {
  gzip: boolean;
  body: Buffer;
}

/**
 * Answers packed and ready to go, until anything is written or the day turns: then all are reckoned anew. Stands behind
 * what decides who may ask.
 * @param today YYYY-MM-DD
 */
export function remembered(db: Db, today: () => string): RequestHandler {
  const paths = new Set(names.map((name) => `/api${routes[name][1]}`));
  // What this connection wrote, even what was rolled back, and whether another did.
  const written = db.prepare<[], number>('SELECT total_changes()').pluck();
  const stateNow = (): string =>
    `${today()} ${written.get()} ${db.pragma('data_version', { simple: true }) as number}`;
  const existing = new Known<string, Packed>({ most: MOST });
  return (req, res, next) => {
    if (req.method !== 'GET' || !paths.has(req.path)) {
      next();
      return;
    }
    const now = stateNow();
    const packs = req.acceptsEncodings('gzip') === 'gzip';
    const key = `${packs} ${req.url}`;
    const answer = existing.get(key, [now]);
    if (answer) {
      send(res, answer);
      return;
    }
    const json = res.json.bind(res);
    res.json = (reply: unknown) => {
      if (res.statusCode !== 200) return json(reply);
      const plain = Buffer.from(JSON.stringify(reply));
      const gzip = packs && plain.length >= PACKED_FROM;
      const packed = { gzip, body: gzip ? gzipSync(plain, PACKING) : plain };
      // Something may have been written since it was asked.
      if (stateNow() === now) existing.keep(key, [now], packed);
      return send(res, packed);
    };
    next();
  };
}

function send(res: Response, { gzip, body }: Packed): Response {
  res.vary('accept-encoding').set('cache-control', 'no-store').type('json');
  if (gzip) res.set('content-encoding', 'gzip');
  res.set('content-length', String(body.length));
  return res.end(body);
}
