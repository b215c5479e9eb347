import { allow } from '#core/units/allowed';
import { problem } from '#words/problem-facts';
import { none } from '#core/units/message';
import { type RequestHandler } from 'express';
import { Problem } from '#server/base/http/problem';

/** Names under which a server on loopback answers. */
const LOOPBACK = ['127.0.0.1', 'localhost', '[::1]'];

const SAFE = new Set(['GET', 'HEAD', 'OPTIONS']);

/**
 * Answers only to its own names, and takes writes only from its own pages. Else a page of elsewhere could reach it
 * through the visitor's browser: by a name that it points at this machine, or by a form.
 * @param names beside those of loopback, of the door to the network
 */
export function onlyOwnHosts(names: () => readonly string[]): RequestHandler {
  return (req, _res, next) => {
    const host = req.headers.host ?? '';
    const existing = [...LOOPBACK, ...names()];
    if (!existing.includes(nameOf(host)))
      throw new Problem(421, problem('problem.host', { host }), [
        { path: 'host', value: host, allowed: allow('allowed.one-of', { ids: existing }) },
      ]);
    // Reading costs work too: from elsewhere one may come by a link to a page, and no other way.
    const site = req.get('sec-fetch-site');
    const isLink = req.get('sec-fetch-mode') === 'navigate' && !req.path.startsWith('/api/');
    if ((site === 'cross-site' || site === 'same-site') && !isLink)
      throw new Problem(403, problem('problem.only-own-ask', none), [
        {
          path: 'sec-fetch-site',
          value: site,
          allowed: allow('allowed.one-of', { ids: ['same-origin', 'none'] }),
        },
      ]);
    const origin = req.get('origin');
    const foreign = origin !== undefined && origin !== `${req.protocol}://${host}`;
    if ((foreign || req.get('sec-fetch-site') === 'cross-site') && !SAFE.has(req.method))
      throw new Problem(403, problem('problem.only-own-write', none), [
        {
          path: 'origin',
          value: origin ?? null,
          allowed: allow('allowed.one-of', { ids: [`${req.protocol}://${host}`] }),
        },
      ]);
    next();
  };
}

/** A host without its port, lower case. */
const nameOf = (host: string): string => host.replace(/:\d+$/, '').toLowerCase();
