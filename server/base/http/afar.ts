import { type IncomingMessage } from 'node:http';

const afar = new WeakSet<IncomingMessage>();

/** Notes that a request came in from the network, not from the machine itself. */
export const comesFromAfar = (req: IncomingMessage): void => void afar.add(req);
export const isFromAfar = (req: IncomingMessage): boolean => afar.has(req);
