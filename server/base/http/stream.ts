import { type Request, type Response } from 'express';

const BEAT_MS = 20_000;

/** A stream of server-sent events to one client; the browser reconnects by itself with the last id it had. */
export interface Stream {
  send: (event: string, data: unknown, id?: number) => void;
  /** Runs once, when the client has left. */
  onEnd: (act: () => void) => void;
}

export function openStream(req: Request, res: Response): Stream {
  res.set({
    'content-type': 'text/event-stream',
    // Compression would hold events back.
    'cache-control': 'no-store, no-transform',
  });
  res.flushHeaders();
  res.write('retry: 1000\n\n');
  const beat = setInterval(() => res.write(': still here\n\n'), BEAT_MS);
  beat.unref();
  res.on('close', () => clearInterval(beat));
  return {
    send: (event, data, id) => {
      if (res.destroyed) return;
      res.write(`${id === undefined ? '' : `id: ${id}\n`}event: ${event}\ndata: ${JSON.stringify(data)}\n\n`);
    },
    onEnd: (act) => {
      res.on('close', act);
    },
  };
}

/** The id that a reconnecting client had seen last; else what its query says; else 0. */
export function lastSeen(req: Request): number {
  const given = Number(req.get('last-event-id') ?? req.query['after'] ?? 0);
  return Number.isSafeInteger(given) && given > 0 ? given : 0;
}
