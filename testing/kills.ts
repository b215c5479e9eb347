import { randomUUID } from 'node:crypto';
import { join } from 'node:path';
import Database from 'better-sqlite3';
import { materialToRow } from '#core/material/material';
import { vesselKinds } from '#core/vessel/kinds';
import { amendments, materials } from '#testing/library';
import { jpegOf } from '#testing/jpeg';
import { usualKeeping } from '#core/weeks/usual-keeping';
import { starterMixes } from '#core/recipe/starter-mixes';
import { type EndpointName, routes } from '#contract/routes';
import { keyOf } from '#server/out/share/share';
import { crops, someSettings } from '#testing/season';
import { type Served, serve } from '#testing/serve';

/** What came of it. */
export interface Tally {
  kills: number;
  /** Writes that were answered before the server died. */
  acknowledged: number;
  /** Writes that were not, and were sent again under the same key. */
  sentAgain: number;
  /** Acknowledged and not there afterwards; there more than once. */
  lost: string[];
  doubled: string[];
  /** Endpoints that were written through. */
  endpoints: Set<EndpointName>;
}

const { id: _own, ...ownRow } = materialToRow(materials[0]!);
const { id: _kind, ...ownKind } = vesselKinds[0]!;
const well = { name: 'Well', kind: 'well', alkalinityMgPerL: 250, ecMSPerCm: 0.6 };
const { id: _product, ...ownProduct } = amendments[0]!;

const { id: _crop, ...ownCrop } = crops.get('tomato')!;

interface Create {
  endpoint: EndpointName;
  path: string;
  table: string;
  body: { key: string };
  /** Key of the row, where that is not the one that was sent. */
  rowKey?: string;
  answered: boolean;
}

/** One thing that is set again and again: after a kill it is what was acknowledged last, or what was under way. */
interface Register {
  write: (turn: number) => { endpoint: EndpointName; path: string; body?: object };
  read: string;
  /** What the row then holds. */
  value: (turn: number) => unknown;
  acknowledged: number;
  begun: number;
}

const methodOf = (name: EndpointName): string => routes[name][0];

/**
 * Kills a server in the middle of writes through every endpoint that writes, starts it again on the same folder, and
 * counts what was lost or doubled; what was not acknowledged is sent again.
 * @param random from 0 to 1, for the moment of each kill
 */
export async function killInTheMiddle(folder: string, kills: number, random: () => number): Promise<Tally> {
  const tally: Tally = {
    ...{ kills, acknowledged: 0, sentAgain: 0, lost: [], doubled: [] },
    endpoints: new Set(),
  };
  const start = (): Promise<Served> => serve(folder, 0, { WELCOME_DEMO: '0' });
  let server = await start();
  const send = async (endpoint: EndpointName, path: string, body?: object): Promise<unknown> => {
    const answer = await fetch(`${server.address}/api${path}`, {
      method: methodOf(endpoint),
      headers: { 'content-type': 'application/json' },
      ...(body && { body: JSON.stringify(body) }),
    });
    if (!answer.ok) throw new Refused(`${endpoint} ${path}: ${answer.status} ${await answer.text()}`);
    tally.endpoints.add(endpoint);
    return answer.status === 204 ? null : answer.json();
  };

  // What the writes need to be there.
  const recipe = starterMixes.germination;
  const mix = { key: randomUUID(), name: 'Base', recipe };
  const batch = {
    ...{ key: randomUUID(), name: 'Base', recipe, madeOn: '2026-01-02', units: 'metric' },
    scoop: 'bucket-10l',
  };
  await send('keepMix', '/mixes', mix);
  await send('keepBatch', '/batches', batch);
  const base = (more: object) => ({ key: randomUUID(), ...more });
  await send('keepMaterial', '/materials', base({ says: 'like loam', row: { ...ownRow, name: 'Base' } }));
  await send('keepVessel', '/vessels', base({ kind: { ...ownKind, name: 'Base' } }));
  await send('keepMeasure', '/measures', { key: randomUUID(), name: 'Base', litres: 7 });
  await send('addOrder', '/orders', base({ kind: 'material', item: 'loam', amount: 9, on: '2026-01-02' }));
  await send('keepWater', '/waters', { key: randomUUID(), ...well });
  await send(
    'keepProduct',
    '/products',
    base({ says: 'like lime', row: { ...ownProduct, name: 'Base product' } }),
  );
  await send('addLine', '/plan/lines', base({ crop: 'tomato', plants: 10 }));
  await send('keepCrop', '/crops', base({ says: 'like tomato', crop: { ...ownCrop, name: 'Base crop' } }));
  await send('addLot', '/lots', base({ item: 'loam', name: 'Base', receivedOn: '2026-01-02', quantity: 5 }));
  await send(
    'addTest',
    '/materials/loam/tests',
    base({ on: '2026-01-02', values: { test: 'falls', falls: 1 } }),
  );

  const sown = { start: 'sow', crop: 'tomato', vessel: 'cell-72', cells: 72, on: '2026-01-02' };
  await send('addPlanting', '/plants', base(sown));
  const { start: _, ...laid } = sown;
  const trial = { ...laid, name: 'Base', seed: 7, arms: [{ name: 'A' }, { name: 'B' }], blocks: 2 };

  let litres = 0;
  const creates = (): Create[] => {
    const each = (endpoint: EndpointName, path: string, table: string, body: object): Create => ({
      ...{ endpoint, path, table, answered: false },
      body: { key: randomUUID(), ...body },
    });
    const shared = (): Create => {
      const key = randomUUID();
      const mixes = [{ name: `Theirs ${key}`, note: '', recipe }];
      const share = {
        format: 'welcome-share',
        version: 1,
        materials: [],
        products: [],
        vessels: [],
        crops: [],
        mixes,
      };
      return {
        ...{ endpoint: 'takeShare', path: '/share', table: 'mix_versions', answered: false },
        ...{
          rowKey: keyOf(key, 'mixes', 0),
          body: { key, share, take: [{ kind: 'mixes', at: 0 }] } as { key: string },
        },
      };
    };
    const entry = { seen: 1e9, data: { kind: 'note', text: 'looked at it' } };
    return [
      each('keepMix', '/mixes', 'mixes', { name: 'Mix', recipe }),
      shared(),
      // Keeping what was kept already makes no version.
      each('keepMixVersion', '/mixes/1/versions', 'mix_versions', {
        recipe: { ...recipe, job: { litres: ++litres } },
      }),
      each('keepBatch', '/batches', 'batches', { ...batch, key: randomUUID(), name: 'Batch' }),
      each('addEntry', '/batches/1/entries', 'entries', entry),
      each('addLot', '/lots', 'lots', { item: 'peat-fine', name: 'Bale', receivedOn: '2026-01-02' }),
      each('addOrder', '/orders', 'orders', { kind: 'material', item: 'loam', amount: 5, on: '2026-01-02' }),
      each('keepMeasure', '/measures', 'measures', { name: 'Cup', litres: 0.25 }),
      each('keepWater', '/waters', 'waters', well),
      each('keepMaterial', '/materials', 'items', { says: 'like loam', row: ownRow }),
      each('keepVessel', '/vessels', 'vessels', { kind: ownKind }),
      each('keepProduct', '/products', 'items', { says: 'like lime', row: ownProduct }),
      each('keepCrop', '/crops', 'crops', { says: 'like tomato', crop: ownCrop }),
      each('addLine', '/plan/lines', 'season_lines', { crop: 'tomato', plants: 10 }),
      each('addPlanting', '/plants', 'plantings', sown),
      each('addPlantEvent', '/plants/1/events', 'plant_events', {
        event: { kind: 'note', on: '2026-01-03', text: 'looked at it' },
      }),
      each('addTrial', '/trials', 'trials', trial),
      each('addPicture', '/plants/1/pictures', 'plant_pictures', { on: '2026-01-03', jpeg: jpegOf(64, 48) }),
      each('addMove', '/lots/1/moves', 'stock_moves', { kind: 'came', amount: 1, on: '2026-01-02' }),
      each('addTest', '/materials/loam/tests', 'lot_tests', {
        ...{ on: '2026-01-02', values: { test: 'falls', falls: 3 } },
      }),
      each('addEntry', '/batches/1/entries', 'entries', entry),
    ];
  };
  const away = (
    each: 'mixes' | 'batches' | 'measures' | 'waters' | 'orders' | 'plan/lines' | 'plants',
    names: readonly [EndpointName, EndpointName],
    table: string = each,
  ): Register => ({
    write: (turn) =>
      turn % 2
        ? { endpoint: names[0], path: `/${each}/1` }
        : { endpoint: names[1], path: `/${each}/1/restore` },
    read: `SELECT deleted_at IS NOT NULL AS value FROM ${table} WHERE id = 1`,
    value: (turn) => turn % 2,
    ...{ acknowledged: 0, begun: 0 },
  });
  const registers: Register[] = [
    {
      write: (turn) => ({ endpoint: 'renameMix', path: '/mixes/1', body: { name: `Name ${turn}` } }),
      read: 'SELECT name AS value FROM mixes WHERE id = 1',
      value: (turn) => (turn === 0 ? 'Base' : `Name ${turn}`),
      ...{ acknowledged: 0, begun: 0 },
    },
    {
      write: (turn) => ({
        ...{ endpoint: 'putShelfLine', path: '/shelf/loam' },
        body: { here: true, costPerL: turn },
      }),
      read: `SELECT price AS value FROM items WHERE id = 'loam'`,
      value: (turn) => turn || null,
      ...{ acknowledged: 0, begun: 0 },
    },
    {
      write: (turn) => ({ endpoint: 'changeShelfLine', path: '/shelf/compost', body: { costPerL: turn } }),
      read: `SELECT price AS value FROM items WHERE id = 'compost'`,
      value: (turn) => turn || null,
      ...{ acknowledged: 0, begun: 0 },
    },
    {
      write: (turn) => ({
        ...{ endpoint: 'setNursery', path: '/nursery' },
        body: { timeZone: turn % 2 ? 'Asia/Tokyo' : 'Europe/Rome' },
      }),
      read: `SELECT value FROM folder WHERE key = 'time-zone'`,
      value: (turn) => (turn === 0 ? undefined : turn % 2 ? 'Asia/Tokyo' : 'Europe/Rome'),
      ...{ acknowledged: 0, begun: 0 },
    },
    {
      write: (turn) => ({
        ...{ endpoint: 'setKeeping', path: '/keeping' },
        body: { ...usualKeeping, weeks: 1 + (turn % 20) },
      }),
      read: `SELECT json_extract(value, '$.usual.weeks') AS value FROM folder WHERE key = 'keeping'`,
      value: (turn) => (turn === 0 ? undefined : 1 + (turn % 20)),
      ...{ acknowledged: 0, begun: 0 },
    },
    {
      write: (turn) => ({
        ...{ endpoint: 'setPlantingKeeping', path: '/plants/1/keeping' },
        body: { keeping: { ...usualKeeping, weeks: 1 + (turn % 20) } },
      }),
      read: `SELECT json_extract(value, '$.plantings."1".weeks') AS value FROM folder WHERE key = 'keeping'`,
      value: (turn) => (turn === 0 ? undefined : 1 + (turn % 20)),
      ...{ acknowledged: 0, begun: 0 },
    },
    {
      write: (turn) => ({
        ...{ endpoint: 'setMixKeeping', path: '/mixes/1/keeping' },
        body: { keeping: { ...usualKeeping, weeks: 1 + (turn % 20) } },
      }),
      read: `SELECT json_extract(value, '$.mixes."1".weeks') AS value FROM folder WHERE key = 'keeping'`,
      value: (turn) => (turn === 0 ? undefined : 1 + (turn % 20)),
      ...{ acknowledged: 0, begun: 0 },
    },
    {
      write: (turn) => ({
        ...{ endpoint: 'setWindows', path: '/windows' },
        body: { stages: { potting: { airPct: { low: 10, high: 20 + (turn % 60) } } }, crops: {} },
      }),
      read: `SELECT json_extract(value, '$.stages.potting.airPct.high') AS value FROM folder WHERE key = 'windows'`,
      value: (turn) => (turn === 0 ? undefined : 20 + (turn % 60)),
      ...{ acknowledged: 0, begun: 0 },
    },
    {
      write: (turn) => ({
        ...{ endpoint: 'setSecondPlace', path: '/backups/second-place' },
        body: { folder: turn % 2 ? folder : join(folder, 'backups') },
      }),
      read: `SELECT value FROM folder WHERE key = 'second-place'`,
      value: (turn) => (turn === 0 ? undefined : turn % 2 ? folder : join(folder, 'backups')),
      ...{ acknowledged: 0, begun: 0 },
    },
    {
      write: (turn) => ({
        ...{ endpoint: 'setLow', path: '/today/low' },
        body: { on: '2026-01-02', celsius: -(turn % 30) },
      }),
      read: `SELECT json_extract(value, '$.celsius') AS value FROM folder WHERE key = 'low'`,
      value: (turn) => (turn === 0 ? undefined : -(turn % 30)),
      ...{ acknowledged: 0, begun: 0 },
    },
    {
      write: (turn) => ({
        ...{ endpoint: 'putOff', path: '/today/put-off' },
        body: { item: 'task/1/1/start', until: `2027-01-${10 + (turn % 19)}` },
      }),
      read: `SELECT until AS value FROM put_off WHERE item = 'task/1/1/start'`,
      value: (turn) => (turn === 0 ? undefined : `2027-01-${10 + (turn % 19)}`),
      ...{ acknowledged: 0, begun: 0 },
    },
    {
      write: (turn) => ({ endpoint: 'setOdds', path: '/plants/odds', body: { purple: { cold: turn % 90 } } }),
      read: `SELECT json_extract(value, '$.purple.cold') AS value FROM folder WHERE key = 'odds'`,
      value: (turn) => (turn === 0 ? undefined : turn % 90),
      ...{ acknowledged: 0, begun: 0 },
    },
    {
      write: (turn) => ({
        ...{ endpoint: 'changeMaterial', path: '/materials/own-base' },
        body: { says: `turn ${turn}`, row: { ...ownRow, name: 'Base' } },
      }),
      read: `SELECT source AS value FROM items WHERE id = 'own-base'`,
      value: (turn) => (turn === 0 ? 'like loam' : `turn ${turn}`),
      ...{ acknowledged: 0, begun: 0 },
    },
    {
      write: (turn) => ({
        ...{ endpoint: 'changeVessel', path: '/vessels/own-base' },
        body: { kind: { ...ownKind, name: 'Base', perTray: 1 + (turn % 1000) } },
      }),
      read: `SELECT json_extract(row_json, '$.perTray') AS value FROM vessels WHERE id = 'own-base'`,
      value: (turn) => (turn === 0 ? ownKind.perTray : 1 + (turn % 1000)),
      ...{ acknowledged: 0, begun: 0 },
    },
    {
      write: (turn) => ({
        ...{ endpoint: 'changeProduct', path: '/products/own-base-product' },
        body: { says: `turn ${turn}`, row: { ...ownProduct, name: 'Base product' } },
      }),
      read: `SELECT source AS value FROM items WHERE id = 'own-base-product'`,
      value: (turn) => (turn === 0 ? 'like lime' : `turn ${turn}`),
      ...{ acknowledged: 0, begun: 0 },
    },
    {
      write: (turn) => ({ endpoint: 'changeLot', path: '/lots/1', body: { price: turn } }),
      read: 'SELECT price AS value FROM lots WHERE id = 1',
      value: (turn) => (turn === 0 ? null : turn),
      ...{ acknowledged: 0, begun: 0 },
    },
    {
      write: (turn) => ({ endpoint: 'layTestAside', path: '/tests/1', body: { aside: turn % 2 === 1 } }),
      read: 'SELECT aside AS value FROM lot_tests WHERE id = 1',
      value: (turn) => turn % 2,
      ...{ acknowledged: 0, begun: 0 },
    },
    {
      // Under the same name it is the same row, changed.
      write: (turn) => ({
        ...{ endpoint: 'tableIn', path: '/tables/vessels' },
        body: {
          csv: `name,noun,shape,top_mm,depth_mm,per_tray\nFrom a table,pot,round,90,80,${1 + (turn % 1000)}\n`,
        },
      }),
      read: `SELECT json_extract(row_json, '$.perTray') AS value FROM vessels WHERE id = 'own-from-a-table'`,
      value: (turn) => (turn === 0 ? undefined : 1 + (turn % 1000)),
      ...{ acknowledged: 0, begun: 0 },
    },
    {
      write: (turn) => ({
        ...{ endpoint: 'changeLine', path: '/plan/lines/1' },
        body: { crop: 'tomato', plants: 1 + (turn % 1000) },
      }),
      read: `SELECT json_extract(row_json, '$.plants') AS value FROM season_lines WHERE id = 1`,
      value: (turn) => (turn === 0 ? 10 : 1 + (turn % 1000)),
      ...{ acknowledged: 0, begun: 0 },
    },
    {
      write: (turn) => ({
        ...{ endpoint: 'changeCrop', path: '/crops/own-base-crop' },
        body: { says: `turn ${turn}`, crop: { ...ownCrop, name: 'Base crop' } },
      }),
      read: `SELECT source AS value FROM crops WHERE id = 'own-base-crop'`,
      value: (turn) => (turn === 0 ? 'like tomato' : `turn ${turn}`),
      ...{ acknowledged: 0, begun: 0 },
    },
    {
      write: (turn) => ({
        ...{ endpoint: 'setSeason', path: '/plan/settings' },
        body: { ...someSettings, soilC: 10 + (turn % 20) },
      }),
      read: `SELECT json_extract(value, '$.soilC') AS value FROM folder WHERE key = 'season'`,
      value: (turn) => (turn === 0 ? undefined : 10 + (turn % 20)),
      ...{ acknowledged: 0, begun: 0 },
    },
    {
      write: (turn) => ({
        ...{ endpoint: 'markTask', path: '/plan/lines/1/tasks' },
        body: { sowing: 1, task: 'start', on: turn % 2 ? '2026-01-02' : null },
      }),
      read: 'SELECT count(*) AS value FROM season_done',
      value: (turn) => turn % 2,
      ...{ acknowledged: 0, begun: 0 },
    },
    away('measures', ['putAwayMeasure', 'restoreMeasure']),
    away('waters', ['putAwayWater', 'restoreWater']),
    away('orders', ['putAwayOrder', 'restoreOrder']),
  ];
  const awayAlone: Register[] = [
    away('mixes', ['putAwayMix', 'restoreMix']),
    away('batches', ['putAwayBatch', 'restoreBatch']),
    away('plan/lines', ['putAwayLine', 'restoreLine'], 'season_lines'),
    away('plants', ['putAwayPlanting', 'restorePlanting'], 'plantings'),
  ];

  for (let kill = 0; kill < kills; kill++) {
    const made = Array.from({ length: 3 }, creates).flat();
    let dead = false;
    // Away and back again by turns with writes to the same row: what is put away takes none.
    const all = kill % 4 === 3 ? awayAlone : registers;
    // Each comes first in turn: on a slow machine the last are not answered before the kill.
    const first = Math.floor((kill * all.length) / kills);
    const turned = [...all.slice(first), ...all.slice(0, first)];
    const shoved = kill % 4 === 3 ? made.filter((create) => !/\/1\//.test(create.path)) : made;
    const work = [
      ...turned.map(async (register) => {
        while (!dead) {
          const turn = ++register.begun;
          const { endpoint, path, body } = register.write(turn);
          await send(endpoint, path, body);
          register.acknowledged = turn;
          tally.acknowledged++;
        }
      }),
      ...shoved.map(async (create) => {
        await send(create.endpoint, create.path, create.body);
        create.answered = true;
        tally.acknowledged++;
      }),
    ].map((promise) =>
      promise.catch((error: unknown) => {
        // A connection that broke is what this is about; a refusal is not.
        if (error instanceof Refused) throw error;
      }),
    );
    await new Promise((wait) => setTimeout(wait, 20 + 330 * random()));
    dead = true;
    server.process.kill('SIGKILL');
    await Promise.all(work);
    server = await start();

    const db = new Database(join(folder, 'welcome.sqlite'), { readonly: true });
    if (db.pragma('integrity_check', { simple: true }) !== 'ok') tally.lost.push('the file itself');
    const count = (create: Create): number =>
      (
        db
          .prepare(`SELECT count(*) AS n FROM ${create.table} WHERE key = ?`)
          .get(create.rowKey ?? create.body.key) as { n: number }
      ).n;
    for (const create of shoved) {
      if (create.answered && count(create) === 0) tally.lost.push(`${create.endpoint} ${create.body.key}`);
      if (create.answered) continue;
      tally.sentAgain++;
      await send(create.endpoint, create.path, create.body);
      if (count(create) === 0) tally.lost.push(`${create.endpoint} ${create.body.key}, sent again`);
    }
    for (const create of shoved)
      if (count(create) > 1) tally.doubled.push(`${create.endpoint} ${create.body.key}`);
    for (const register of [...registers, ...awayAlone]) {
      const row = db.prepare(register.read).get() as { value: unknown } | undefined;
      const fits = [register.acknowledged, register.begun].find((turn) => {
        const wanted = register.value(turn);
        return wanted === undefined || wanted === row?.value;
      });
      if (fits === undefined)
        tally.lost.push(`${register.write(register.acknowledged).endpoint}: holds ${String(row?.value)}`);
      else register.acknowledged = register.begun = fits;
    }
    db.close();
    // Whatever stands away is brought back for the next round.
    for (const register of awayAlone) {
      if (register.begun % 2 === 0) continue;
      const { endpoint, path } = register.write(++register.begun);
      await send(endpoint, path);
      register.acknowledged = register.begun;
    }
  }
  server.process.kill('SIGKILL');
  return tally;
}

class Refused extends Error {}
