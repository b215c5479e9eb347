import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import express, { Router } from 'express';

/** The built interface, and its page for every route of its own. */
export function webRoutes(folder: string): Router {
  const router = Router();
  const page = join(folder, 'index.html');
  if (!existsSync(page)) return router;
  const html = readFileSync(page, 'utf8');
  // Never as it lies there, with its placeholder.
  router.get('/index.html', (_req, res) => res.redirect('/'));
  router.use(express.static(folder, { index: false, immutable: true, maxAge: '1y' }));
  router.get('/{*path}', (req, res, next) => {
    if (req.path.startsWith('/api/') || /\.[a-z0-9]+$/i.test(req.path)) {
      next();
      return;
    }
    res
      .set('cache-control', 'no-cache')
      .type('html')
      .send(html.replaceAll('NONCE', res.locals.nonce ?? ''));
  });
  return router;
}
