import { randomUUID } from 'node:crypto';
import { starterMixes } from '#core/recipe/starter-mixes';
import { openDatabase } from '#server/base/database/open';
import { serve } from '#testing/serve';

/** How light requests fare while a heavy one runs. */
export interface Fared {
  heavy: string;
  /** How often it ran, and how long each took in the middle, ms. */
  times: number;
  heavyMs: number;
  /** Light requests meanwhile, ms. */
  asked: number;
  medianMs: number;
  p99Ms: number;
  worstMs: number;
}

const BATCHES = 2000;
const EVENTS = 50_000;

/** Copies rows of the demo until there is a record of years. */
function grow(folder: string): void {
  const db = openDatabase(folder);
  const columns = (table: string): string =>
    (db.pragma(`table_info(${table})`) as { name: string }[])
      .map(({ name }) => name)
      .filter((name) => name !== 'id' && name !== 'key')
      .join(', ');
  const copy = (table: string, most: number): void => {
    const names = columns(table);
    const statement = db.prepare(
      `INSERT INTO ${table} (key, ${names}) SELECT ?, ${names} FROM ${table} WHERE id = ?`,
    );
    const ids = db.prepare<[], number>(`SELECT id FROM ${table} ORDER BY id LIMIT 100`).pluck().all();
    db.transaction(() => {
      for (let i = 0; i < most; i++) statement.run(randomUUID(), ids[i % ids.length]);
    })();
  };
  copy('batches', BATCHES);
  copy('plant_events', EVENTS);
  db.close();
}

/**
 * Asks for something light again and again while something heavy is asked for, one kind of it after the other.
 * @param folder empty: it gets the demo, grown to 2,000 batches and 50,000 entries of plants
 * @param seconds for each kind
 */
export async function lightWhile(folder: string, seconds: number): Promise<Fared[]> {
  const first = await serve(folder, 0, { LOG_LEVEL: 'silent' });
  const gone = new Promise((done) => first.process.once('exit', done));
  first.process.kill('SIGTERM');
  await gone;
  grow(folder);
  const { process: server, address } = await serve(folder, 0, { LOG_LEVEL: 'silent' });
  const ask = (path: string, body?: object): Promise<ArrayBuffer> =>
    fetch(`${address}/api${path}`, {
      ...(body && {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify(body),
      }),
    }).then((answer) => answer.arrayBuffer());
  const { components, stage } = starterMixes.germination;
  const vessel = { shape: 'rect', topMm: [40, 40], baseMm: [25, 25], depthMm: 45, headspaceMm: 5 };
  const rows = Array.from({ length: 700 }, (_, i) => `Pot ${i},pot,round,${90 + (i % 40)},80,1`);
  const csv = ['name,noun,shape,top_mm,depth_mm,per_tray', ...rows].join('\n');
  const heavy: [string, () => Promise<unknown>][] = [
    ['nothing', () => new Promise((rest) => setTimeout(rest, 50))],
    // What is remembered is forgotten when anything is written.
    [
      'today of 2,000 batches, after an entry',
      async () => {
        await ask('/measures', { key: randomUUID(), name: 'Pail', litres: 5 });
        await ask('/today');
      },
    ],
    ['a table of 700 vessels, tried', () => ask('/tables/vessels', { csv, dry: true })],
    [
      'two counts of a million',
      () => ask('/compare', { a: { alive: 499_000, of: 1e6 }, b: { alive: 500_000, of: 1e6 } }),
    ],
    [
      'a search of recipes',
      () =>
        ask('/formulate', {
          ...{ stage, vessel, materials: components.map(({ material }) => material) },
          ...{ maxTotalParts: 8, top: 3 },
        }),
    ],
    ['a bench card', () => ask('/batches/1/card.pdf?units=metric&scoop=bucket-10l')],
    ['a backup', () => ask('/backups', {})],
    ['an archive', () => ask('/archive')],
    [
      'a restore of 50,000 records',
      async () => {
        const { list } = JSON.parse(Buffer.from(await ask('/backups')).toString()) as {
          list: { name: string }[];
        };
        await ask('/backups/restore', { name: list[0]!.name });
      },
    ],
  ];
  const fared: Fared[] = [];
  for (const [name, act] of heavy) {
    const [light, took]: [number[], number[]] = [[], []];
    const end = performance.now() + seconds * 1000;
    let busy = true;
    const asking = (async () => {
      while (busy) {
        const start = performance.now();
        await ask('/health').catch(() => undefined);
        light.push(performance.now() - start);
        await new Promise((rest) => setTimeout(rest, 5));
      }
    })();
    do {
      const start = performance.now();
      await act().catch(() => undefined);
      took.push(performance.now() - start);
    } while (performance.now() < end);
    busy = false;
    await asking;
    light.sort((a, b) => a - b);
    took.sort((a, b) => a - b);
    fared.push({
      ...{ heavy: name, times: took.length, heavyMs: took[took.length >> 1]!, asked: light.length },
      ...{ medianMs: light[light.length >> 1]!, p99Ms: light[Math.floor(0.99 * light.length)]! },
      worstMs: light.at(-1)!,
    });
  }
  server.kill('SIGKILL');
  return fared;
}
