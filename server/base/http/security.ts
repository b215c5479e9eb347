import { randomBytes } from 'node:crypto';
import { Router, type Response } from 'express';
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
          'style-src': ["'self'", (_req, res) => `'nonce-${(res as Response).locals.nonce ?? ''}'`],
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
      // With none at all a form of our own would come without its origin, as if it were of elsewhere.
      referrerPolicy: { policy: 'same-origin' },
    }),
  );
  return router;
}
