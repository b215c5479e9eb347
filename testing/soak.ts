import { execFileSync } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { starterMixes } from '#core/recipe/starter-mixes';
import { serve } from '#testing/serve';

/** What long hours came to. */
export interface Soaked {
  requests: number;
  /** Asked to wait, as is right when too many papers and searches come at once. */
  toldToWait: number;
  failed: string[];
  /** Milliseconds of reading and writing; papers and searches are apart. */
  medianMs: number;
  p99Ms: number;
  heavyP99Ms: number;
  /** Resident memory of the server in MB: after the first tenth, and over the last. */
  earlyMb: number;
  lateMb: number;
}

/** Resident memory in MB, by the system's own list of processes. */
const memoryMb = (pid: number): number =>
  Number(execFileSync('ps', ['-o', 'rss=', '-p', String(pid)], { encoding: 'utf8' })) / 1024;

const quantile = (sorted: readonly number[], q: number): number =>
  sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * q))] ?? 0;

/**
 * Devices at work at once on one server: each holds a stream open, reads pages, ticks and counts, and now and then
 * prints a card or has a mix searched.
 * @param folder empty: it gets the demo
 */
export async function soak(folder: string, seconds: number, devices = 20): Promise<Soaked> {
  const { process: server, address } = await serve(folder, 0, { LOG_LEVEL: 'silent' });
  const [light, heavy, memory]: number[][] = [[], [], []];
  const failed: string[] = [];
  let toldToWait = 0;
  const end = performance.now() + seconds * 1000;
  const ask = async (path: string, body?: object, times = light!): Promise<void> => {
    const start = performance.now();
    const answer = await fetch(`${address}/api${path}`, {
      ...(body && {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify(body),
      }),
    });
    await answer.arrayBuffer();
    times.push(performance.now() - start);
    if (answer.status === 429) toldToWait++;
    else if (!answer.ok) failed.push(`${path}: ${answer.status}`);
  };
  const { components, stage } = starterMixes.germination;
  const vessel = { shape: 'rect', topMm: [40, 40], baseMm: [25, 25], depthMm: 45, headspaceMm: 5 };
  const search = {
    ...{ stage, vessel, materials: components.map(({ material }) => material), maxTotalParts: 6, top: 3 },
  };
  const [{ id: batch }] = (await (await fetch(`${address}/api/batches?away=no`)).json()) as [{ id: number }];
  const device = async (n: number): Promise<void> => {
    const leave = new AbortController();
    const stream = await fetch(`${address}/api/batches/${batch}/stream`, { signal: leave.signal });
    const heard = stream.body!.getReader();
    const reading = (async () => {
      while (!(await heard.read()).done);
    })().catch(() => undefined);
    for (let turn = n; performance.now() < end; turn++) {
      for (const path of ['/today', '/plants?finished=no', '/plants/care', '/batches?away=no', '/library'])
        await ask(path);
      await ask(`/batches/${batch}/entries`, {
        ...{ key: randomUUID(), seen: Number.MAX_SAFE_INTEGER, data: { kind: 'note', text: `Turn ${turn}` } },
      });
      if (turn % 7 === 0)
        await ask(`/batches/${batch}/card.pdf?units=metric&scoop=bucket-10l`, undefined, heavy);
      if (turn % 11 === 0) await ask('/formulate', search, heavy);
      // As long as a hand takes between two looks.
      await new Promise((rest) => setTimeout(rest, 50));
    }
    leave.abort();
    await reading;
  };
  const watch = setInterval(() => memory!.push(memoryMb(server.pid!)), Math.max(200, seconds * 10));
  await Promise.all(Array.from({ length: devices }, (_, n) => device(n)));
  clearInterval(watch);
  server.kill('SIGKILL');
  const tenth = Math.max(1, Math.floor(memory!.length / 10));
  const mean = (of: readonly number[]): number =>
    of.reduce((sum, each) => sum + each, 0) / Math.max(1, of.length);
  light!.sort((a, b) => a - b);
  heavy!.sort((a, b) => a - b);
  return {
    ...{ requests: light!.length + heavy!.length, toldToWait, failed: failed.slice(0, 10) },
    ...{ medianMs: quantile(light!, 0.5), p99Ms: quantile(light!, 0.99), heavyP99Ms: quantile(heavy!, 0.99) },
    earlyMb: mean(memory!.slice(tenth, 2 * tenth)),
    lateMb: mean(memory!.slice(-tenth)),
  };
}
