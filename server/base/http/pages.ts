import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { extname, join } from 'node:path';
import express, { Router } from 'express';

const HASHED = /-[A-Za-z0-9_-]{8}\.(js|css|woff2|svg)(\.br)?$/;

/** The built interface, and its page for every route of its own. */
export function webRoutes(folder: string): Router {
  const router = Router();
  const page = join(folder, 'index.html');
  if (!existsSync(page)) return router;
  const html = readFileSync(page, 'utf8');
  const first = join(folder, 'first-asked.json');
  /** By path: links to what its page asks for before it can show anything, fetched beside its program, not after it. */
  const fetchFirst = new Map(
    Object.entries(
      existsSync(first) ? (JSON.parse(readFileSync(first, 'utf8')) as Record<string, string[]>) : {},
    ).map(([path, asks]) => [
      path,
      asks.map((ask) => `<link rel="preload" as="fetch" crossorigin href="/api/${ask}" />`).join(''),
    ]),
  );
  // Never as it lies there, with its placeholder.
  router.get('/index.html', (_req, res) => res.redirect('/'));
  // Packed as small as can be when it was built: too slow to do for each visitor.
  const packed = new Set(readdirSync(folder).flatMap((name) => (name.endsWith('.br') ? [`/${name}`] : [])));
  router.use((req, res, next) => {
    if (packed.has(`${req.path}.br`) && req.acceptsEncodings('br')) {
      res.type(extname(req.path)).set('content-encoding', 'br').vary('accept-encoding');
      req.url = `${req.path}.br`;
    }
    next();
  });
  router.use(
    express.static(folder, {
      index: false,
      setHeaders: (res, path) =>
        // All others have names that change with what is in them.
        res.set('cache-control', HASHED.test(path) ? 'public, max-age=31536000, immutable' : 'no-cache'),
    }),
  );
  router.get('/{*path}', (req, res, next) => {
    if (req.path.startsWith('/api/') || /\.[a-z0-9]+$/i.test(req.path)) {
      next();
      return;
    }
    res
      .set('cache-control', 'no-cache')
      .type('html')
      .send(
        html
          .replaceAll('NONCE', res.locals.nonce ?? '')
          .replace('</head>', `${fetchFirst.get(req.path) ?? ''}</head>`),
      );
  });
  return router;
}
