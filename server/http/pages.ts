import { randomBytes } from 'node:crypto';
import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import express, { Router } from 'express';
import helmet from 'helmet';

declare module 'express-serve-static-core' {
  interface Locals {
    nonce?: string;
  }
}

/** Nothing from elsewhere, no inline script, styles only with the nonce of the page. */
export function securityHeaders(): Router {
  const router = Router();
  router.use((_req, res, next) => {
    res.locals.nonce = randomBytes(16).toString('base64');
    next();
  });
  router.use(
    helmet({
      contentSecurityPolicy: {
        useDefaults: false,
        directives: {
          'default-src': ["'none'"],
          'script-src': ["'self'"],
          'worker-src': ["'self'"],
          'style-src': ["'self'", (_req, res) => `'nonce-${(res as express.Response).locals.nonce ?? ''}'`],
          'font-src': ["'self'"],
          'img-src': ["'self'", 'data:'],
          'connect-src': ["'self'"],
          'manifest-src': ["'self'"],
          'base-uri': ["'self'"],
          'form-action': ["'self'"],
          'frame-ancestors': ["'none'"],
        },
      },
      // Plain http on loopback: there is nothing to upgrade to.
      strictTransportSecurity: false,
      crossOriginOpenerPolicy: { policy: 'same-origin' },
      referrerPolicy: { policy: 'no-referrer' },
    }),
  );
  return router;
}

/** The built interface, and its page for every route of its own. */
export function webRoutes(folder: string): Router {
  const router = Router();
  const page = join(folder, 'index.html');
  if (!existsSync(page)) return router;
  const html = readFileSync(page, 'utf8');
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
