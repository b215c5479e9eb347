/**
 * Keeps the page, its fonts and the last answers on the device, so that it opens without a network. The network is
 * asked first; what is entered goes through the outbox of the page, not through here.
 */
declare const FILES: readonly string[];
declare const VERSION: string;

const worker = self as unknown as ServiceWorkerGlobalScope;
const SHELL = 'welcome-page-';
const ANSWERS = 'welcome-answers';
const MOST_ANSWERS = 400;
/** So long a network that hangs is waited for, where there is something to show instead. */
const PATIENCE_MS = 4000;
/** Not kept: streams, whole nurseries, papers. */
const NEVER = /^\/api\/(archive|backups|share|sharing|openapi|.*(stream|labels|card|calendar))/;
/** Pages of the server itself. */
const SERVERS_OWN = /^\/(pair|rescue|authority\.crt)/;

worker.addEventListener('install', (event) => event.waitUntil(install()));
worker.addEventListener('activate', (event) => event.waitUntil(takeOver()));
worker.addEventListener('fetch', (event) => {
  const { request } = event;
  const { origin, pathname } = new URL(request.url);
  if (request.method !== 'GET' || origin !== location.origin || SERVERS_OWN.test(pathname)) return;
  if (pathname.startsWith('/api/')) {
    if (!NEVER.test(pathname) && !/event-stream/.test(request.headers.get('accept') ?? ''))
      event.respondWith(answer(request));
  } else if (request.mode === 'navigate') event.respondWith(page(request));
  else event.respondWith(piece(request));
});

async function install(): Promise<void> {
  const cache = await caches.open(SHELL + VERSION);
  await cache.addAll([...FILES]);
  // With the policy that came with it: its styles have the nonce of that answer.
  const fresh = await fetch('/', { cache: 'no-store' });
  if (!fresh.ok || fresh.redirected) throw new Error(`page: ${fresh.status}`);
  const html = (await fresh.text()).replace(/<link rel="preload"[^>]*>/g, '');
  await cache.put('/', new Response(html, { headers: withoutLength(fresh.headers) }));
  await worker.skipWaiting();
}

/** Pages that are open go on with the pieces of the version before. */
async function takeOver(): Promise<void> {
  const shells = (await caches.keys()).filter((name) => name.startsWith(SHELL) && name !== SHELL + VERSION);
  await Promise.all(shells.slice(0, -1).map((name) => caches.delete(name)));
  await worker.clients.claim();
  await askAhead();
}

/** What the daily pages ask for first, whether or not they were opened here: the phone goes out at once. */
async function askAhead(): Promise<void> {
  const pages = (await (await piece(new Request('/first-asked.json'))).json()) as Record<string, string[]>;
  const asks = new Set(Object.values(pages).flat());
  await Promise.all([...asks].map((ask) => answer(new Request(`/api/${ask}`)).catch(() => undefined)));
}

function withoutLength(headers: Headers): Headers {
  const kept = new Headers(headers);
  for (const name of ['content-encoding', 'content-length', 'set-cookie']) kept.delete(name);
  return kept;
}

const inTime = <T>(work: Promise<T>, ms: number): Promise<T> =>
  Promise.race([work, new Promise<T>((_, late) => setTimeout(() => late(new Error('too late')), ms))]);

async function page(request: Request): Promise<Response> {
  const kept = await (await caches.open(SHELL + VERSION)).match('/');
  try {
    return await (kept ? inTime(fetch(request), PATIENCE_MS) : fetch(request));
  } catch (error) {
    if (kept) return kept;
    throw error;
  }
}

/** Of this version, or of the one before, that a page which is still open may ask for. */
async function piece(request: Request): Promise<Response> {
  const own = await (await caches.open(SHELL + VERSION)).match(request);
  return own ?? (await caches.match(request)) ?? fetch(request);
}

async function answer(request: Request): Promise<Response> {
  const cache = await caches.open(ANSWERS);
  const kept = await cache.match(request);
  try {
    const fresh = await (kept ? inTime(fetch(request), PATIENCE_MS) : fetch(request));
    // This device was shut out: nothing of the nursery stays on it.
    if (fresh.status === 401) await caches.delete(ANSWERS);
    else if (fresh.ok) await keep(cache, request, fresh.clone());
    return fresh;
  } catch (error) {
    if (kept) return kept;
    throw error;
  }
}

async function keep(cache: Cache, request: Request, fresh: Response): Promise<void> {
  const kind = fresh.headers.get('content-type') ?? '';
  if (!/json|jpeg/.test(kind)) return;
  const headers = withoutLength(fresh.headers);
  headers.set('x-welcome-kept', new Date().toISOString());
  await cache.put(request, new Response(await fresh.blob(), { headers }));
  const all = await cache.keys();
  await Promise.all(all.slice(0, Math.max(0, all.length - MOST_ANSWERS)).map((each) => cache.delete(each)));
}
