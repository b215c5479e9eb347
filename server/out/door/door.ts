import { problem } from '#words/problem-facts';
import { none } from '#core/units/message';
import express, { type Express, type Request, type RequestHandler } from 'express';
import { rateLimit } from 'express-rate-limit';
import { existsSync, readFileSync } from 'node:fs';
import { type RequestListener, type ServerResponse } from 'node:http';
import { type Pairing } from '#server/base/security/pairing';
import { authorityFile } from '#server/base/security/authority';
import { type DeviceStore } from '#server/kept/devices';
import { comesFromAfar } from '#server/base/http/afar';
import { onlyOwnHosts } from '#server/base/http/hosts';
import { textsIn } from '#words/place';
import { readerOf } from '#server/base/http/reader';
import { pairPage as english } from '#words/en/places/pair-page';
import { pairPage } from '#server/out/door/pair-page';
import { Problem, problems } from '#server/base/http/problem';
import { securityHeaders } from '#server/base/http/security';

export interface Behind {
  data: string;
  now: () => Date;
  names: () => readonly string[];
  pairing: () => Pairing;
  /** null while the data folder needs rescue. */
  devices: () => DeviceStore | null;
  /** Told of every answer to a device that came in. */
  answers: (device: number, res: ServerResponse) => void;
  /** What a device finds that may come in. */
  inside: RequestListener;
}

const COOKIE = 'welcome-device';
const YEAR_MS = 366 * 86_400_000;
/** From one address: a page asks for some thirty things at once. */
const MOST_A_MINUTE = 900;
const MOST_TRIES = 10;
const TRY_MS = 10 * 60_000;

const tokenOf = (req: Request): string =>
  (req.headers.cookie ?? '')
    .split(';')
    .map((each) => each.trim().split('='))
    .find(([name]) => name === COOKIE)?.[1] ?? '';

const tried = (code: unknown): string => (typeof code === 'string' ? code.slice(0, 20) : '');

const tooMany =
  (what: 'requests' | 'codes'): RequestHandler =>
  () => {
    throw new Problem(429, problem('problem.too-often', { what }));
  };

/**
 * What stands between the network and the nursery: nobody comes in without the token of a device that was paired at the
 * machine itself. Tries and requests are limited; pages of elsewhere can neither read nor write.
 */
export function door({ data, now, names, pairing, devices, answers, inside }: Behind): Express {
  const app = express();
  app.disable('x-powered-by');
  app.use(securityHeaders());
  app.use(onlyOwnHosts(names));
  const limit = { standardHeaders: true, legacyHeaders: false, validate: false } as const;
  app.use(
    rateLimit({
      ...limit,
      windowMs: 60_000,
      limit: MOST_A_MINUTE,
      handler: tooMany('requests'),
    }),
  );

  app.get('/authority.crt', (_req, res) => {
    const file = authorityFile(data);
    if (!existsSync(file)) throw new Problem(404, problem('problem.no-authority', none));
    res.type('application/x-x509-ca-cert').attachment('welcome-nursery.crt').send(readFileSync(file));
  });
  app.get('/pair', (req, res) => {
    const { code } = req.query;
    if (devices()?.of(tokenOf(req), now())) res.redirect(303, '/');
    else res.type('html').send(pairPage(res, readerOf(req).language, { code: tried(code) }));
  });
  app.post(
    '/pair',
    rateLimit({
      ...limit,
      windowMs: TRY_MS,
      limit: MOST_TRIES,
      handler: tooMany('codes'),
    }),
    express.urlencoded({ extended: false, limit: '2kb' }),
    (req, res) => {
      const { code, name } = (req.body ?? {}) as { code?: unknown; name?: unknown };
      const called = typeof name === 'string' ? name.trim().slice(0, 60) : '';
      const { language } = readerOf(req);
      const texts = textsIn(english, language);
      const store = devices();
      if (!store) throw new Problem(503, problem('problem.not-now', none));
      const wrong = !called
        ? texts.nameIt
        : typeof code === 'string' && pairing().take(code)
          ? ''
          : texts.wrongCode;
      if (wrong) {
        res
          .status(called ? 403 : 400)
          .type('html')
          .send(
            pairPage(res, language, { code: tried(code), name: typeof name === 'string' ? name : '', wrong }),
          );
        return;
      }
      res.cookie(COOKIE, store.add(called, now()), {
        ...{ httpOnly: true, sameSite: 'lax', secure: req.secure, path: '/', maxAge: YEAR_MS },
      });
      res.redirect(303, '/');
    },
  );
  app.use((req, res, next) => {
    const device = devices()?.of(tokenOf(req), now());
    if (device) {
      answers(device.id, res);
      comesFromAfar(req);
      inside(req, res);
      return;
    }
    if (req.method === 'GET' && req.accepts(['json', 'html']) === 'html' && !req.path.startsWith('/api/')) {
      res.redirect(303, '/pair');
      return;
    }
    next(new Problem(401, problem('problem.not-paired', none)));
  });
  app.use(problems);
  return app;
}
