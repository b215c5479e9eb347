import { type Request } from 'express';

/** Where the code on a paper leads: the place of the interface at the address that was asked. */
export const addressFor = (req: Request, path: string): string =>
  `${req.protocol}://${req.get('host') ?? '127.0.0.1'}${path}`;
