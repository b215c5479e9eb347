import { type Request } from 'express';

/**
 * Where the code on a paper leads: the place of the interface at an address that a phone can reach where there is one,
 * else at the one that was asked.
 */
export function addressFor(req: Request, path: string): string {
  const reach = (req.app.locals['reach'] as (() => string | undefined) | undefined)?.();
  return `${reach ?? `${req.protocol}://${req.get('host') ?? '127.0.0.1'}`}${path}`;
}
