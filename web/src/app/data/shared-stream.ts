/** What a page does with what a stream says. */
export interface Heard {
  open: (is: boolean) => void;
  /** By the name of the event; given its data. */
  events: Readonly<Record<string, (data: string) => void>>;
}

/** What a page that comes later is told: every event so far, or the last of each name. */
export type Remember = 'all' | 'last';

type Told = { kind: 'hello' } | { kind: 'open'; is: boolean } | { kind: 'event'; name: string; data: string };

/**
 * Follows a stream of the server. A browser gives a server six connections and a stream keeps one, so the pages of one
 * browser share it: one of them holds it and passes on what it hears; when that page goes, another takes over. What is
 * told twice must do no harm.
 * @returns how to stop
 */
export function followStream(address: string, remember: Remember, heard: Heard): () => void {
  if (!('locks' in navigator) || !('BroadcastChannel' in globalThis)) return hold(address, heard);
  const name = `welcome ${address}`;
  const channel = new BroadcastChannel(name);
  const leaving = new AbortController();
  let holding = false;
  let opened = false;
  let past: Told[] = [];
  let letGo = (): void => undefined;

  const pass = (result: Told): void => {
    if (result.kind === 'open') opened = result.is;
    if (result.kind === 'event') {
      if (remember === 'last')
        past = past.filter((each) => each.kind !== 'event' || each.name !== result.name);
      past.push(result);
    }
    channel.postMessage(result);
  };
  channel.addEventListener('message', ({ data: told }: MessageEvent<Told>) => {
    if (told.kind === 'hello') {
      if (!holding) return;
      for (const each of past) channel.postMessage(each);
      channel.postMessage({ kind: 'open', is: opened } satisfies Told);
    } else if (!holding) {
      if (told.kind === 'open') heard.open(told.is);
      else heard.events[told.name]?.(told.data);
    }
  });

  channel.postMessage({ kind: 'hello' } satisfies Told);
  navigator.locks
    .request(
      name,
      { signal: leaving.signal },
      () =>
        new Promise<void>((gone) => {
          holding = true;
          const close = hold(address, {
            open: (is) => {
              heard.open(is);
              pass({ kind: 'open', is });
            },
            events: Object.fromEntries(
              Object.entries(heard.events).map(([event, hear]) => [
                event,
                (data: string) => {
                  hear(data);
                  pass({ kind: 'event', name: event, data });
                },
              ]),
            ),
          });
          letGo = () => {
            close();
            gone();
          };
        }),
    )
    .catch((error: unknown) => {
      if (!leaving.signal.aborted) throw error;
    });
  return () => {
    leaving.abort();
    letGo();
    channel.close();
  };
}

function hold(address: string, heard: Heard): () => void {
  const source = new EventSource(address);
  source.addEventListener('open', () => heard.open(true));
  source.addEventListener('error', () => heard.open(false));
  for (const [name, hear] of Object.entries(heard.events))
    source.addEventListener(name, ({ data }: MessageEvent<string>) => hear(data));
  return () => source.close();
}
