import {
  HttpBackend,
  HttpClient,
  HttpErrorResponse,
  type HttpEvent,
  HttpResponse,
  type HttpRequest,
} from '@angular/common/http';
import { createEnvironmentInjector, EnvironmentInjector } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import fc from 'fast-check';
import { mkdtempSync, rmSync } from 'node:fs';
import { request } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Observable } from 'rxjs';
import { type PlantEvent } from '#core/plants/planting';
import { MemoryOutbox } from '#testing/memory-outbox';
import { serve, type Served } from '#testing/serve';
import { Api } from './api';
import { Delivery } from './delivery';
import { FolderHere } from './folder-here';
import { NurseryService } from './nursery';
import { Outbox } from './outbox';
import { uuid } from './uuid';
import { OUTBOX_STORE } from './outbox-store';

const RUNS = 4;
const DEVICES = 3;

/** The network of one device: there, cut before anything goes out, or cut before the answer comes back. */
class Wire extends HttpBackend {
  state: 'there' | 'cut' | 'answers lost' = 'there';

  constructor(private readonly address: () => string) {
    super();
  }

  handle(asked: HttpRequest<unknown>): Observable<HttpEvent<unknown>> {
    return new Observable((heard) => {
      const broken = (): void =>
        heard.error(new HttpErrorResponse({ status: 0, url: asked.url, statusText: 'Unknown Error' }));
      if (this.state === 'cut') {
        setTimeout(broken);
        return;
      }
      const body = asked.body === null ? undefined : JSON.stringify(asked.body);
      const sent = request(
        this.address() + asked.urlWithParams,
        { method: asked.method, headers: { 'content-type': 'application/json' }, timeout: 5000 },
        (res) => {
          const parts: Buffer[] = [];
          res.on('data', (part: Buffer) => parts.push(part));
          res.on('error', broken);
          res.on('end', () => {
            if (this.state !== 'there') {
              broken();
              return;
            }
            const text = Buffer.concat(parts).toString('utf8');
            const answer: unknown = text === '' ? null : JSON.parse(text);
            const status = res.statusCode ?? 0;
            if (status >= 400) heard.error(new HttpErrorResponse({ status, error: answer, url: asked.url }));
            else {
              heard.next(new HttpResponse({ status, body: answer }));
              heard.complete();
            }
          });
        },
      );
      sent.on('error', broken);
      sent.end(body);
    });
  }
}

interface Device {
  wire: Wire;
  store: MemoryOutbox;
  outbox: Outbox;
  /** What it has seen of the batch. */
  seen: number;
  clockOffMs: number;
}
interface Ask {
  id: number;
  key: string;
}

let folder: string;
let served: Served;
let batch: Ask;
const RealDate = Date;

const get = <T>(path: string): Promise<T> => ask('GET', path) as Promise<T>;
const ask = (method: string, path: string, body?: object): Promise<unknown> =>
  new Promise((done, failed) => {
    const sent = request(
      `${served.address}/api${path}`,
      { method, headers: { 'content-type': 'application/json' } },
      (res) => {
        let text = '';
        res.on('data', (part: Buffer) => (text += part.toString()));
        res.on('end', () => done(text === '' ? null : JSON.parse(text)));
      },
    );
    sent.on('error', failed);
    sent.end(body && JSON.stringify(body));
  });

/** A page of a device: opened anew it has what its device kept, and nothing else. */
function open(device: Pick<Device, 'wire' | 'store'>): Outbox {
  const injector = createEnvironmentInjector(
    [
      ...[Outbox, Delivery, Api, FolderHere, NurseryService],
      { provide: HttpBackend, useValue: device.wire },
      { provide: HttpClient, useFactory: () => new HttpClient(device.wire) },
      { provide: OUTBOX_STORE, useValue: device.store },
    ],
    TestBed.inject(EnvironmentInjector),
  );
  return injector.get(Outbox);
}

type Step =
  | { kind: 'tick'; device: number; step: number; done: boolean }
  | { kind: 'note' | 'plant' | 'sow'; device: number }
  | { kind: 'wire'; device: number; state: Wire['state'] }
  | { kind: 'reload' | 'look' | 'decide'; device: number }
  | { kind: 'kill' }
  | { kind: 'wait'; ms: number };
const device = fc.nat(DEVICES - 1);
const step: fc.Arbitrary<Step> = fc.oneof(
  {
    weight: 6,
    arbitrary: fc.record({ kind: fc.constant('tick' as const), device, step: fc.nat(3), done: fc.boolean() }),
  },
  {
    weight: 5,
    arbitrary: fc.record({
      kind: fc.constantFrom('note' as const, 'plant' as const, 'sow' as const),
      device,
    }),
  },
  {
    weight: 4,
    arbitrary: fc.record({
      ...{ kind: fc.constant('wire' as const), device },
      state: fc.constantFrom('there' as const, 'cut' as const, 'answers lost' as const),
    }),
  },
  {
    weight: 4,
    arbitrary: fc.record({
      kind: fc.constantFrom('reload' as const, 'look' as const, 'decide' as const),
      device,
    }),
  },
  { weight: 1, arbitrary: fc.constant({ kind: 'kill' as const }) },
  {
    weight: 3,
    arbitrary: fc.record({ kind: fc.constant('wait' as const), ms: fc.integer({ min: 1, max: 40 }) }),
  },
);

const sowing = (on: string): object => ({
  ...{ start: 'sow', crop: 'basil', seed: '', vessel: 'cell-72', cells: 72, perCell: 1, batch: null, on },
  ...{ bareRoot: false, halfFilled: false, season: null, from: [] },
});
const wait = (ms: number): Promise<void> => new Promise((done) => setTimeout(done, ms));

beforeAll(async () => {
  // The devices of this test would share one browser's notes: one would take over what another has just entered.
  jest.spyOn(Storage.prototype, 'setItem').mockImplementation(() => undefined);
  folder = mkdtempSync(join(tmpdir(), 'welcome-household-'));
  served = await serve(folder);
  const [line] = await get<[{ id: number }]>('/batches?away=no');
  batch = await get<Ask>(`/batches/${line.id}`);
}, 60_000);
afterAll(() => {
  jest.restoreAllMocks();
  globalThis.Date = RealDate;
  served.process.kill('SIGKILL');
  rmSync(folder, { recursive: true, force: true });
});

test('two phones and a laptop, with cuts, kills and wrong clocks: in the end all tell the same, every entry once', async () => {
  const { steps } = await get<{ steps: { id: string }[] }>(`/batches/${batch.id}`).then(
    (it) => (it as unknown as { snapshot: { steps: { id: string }[] } }).snapshot,
  );
  const planting = await get<Ask & { on: string }>('/plants/1');
  const begun = planting.on;
  let said = 0;
  await fc.assert(
    fc.asyncProperty(fc.array(step, { minLength: 25, maxLength: 60 }), async (day) => {
      TestBed.resetTestingModule();
      const devices = Array.from({ length: DEVICES }, (_, i): Device => {
        const made = { wire: new Wire(() => served.address), store: new MemoryOutbox() };
        // One an hour slow, one a day ahead.
        return { ...made, outbox: open(made), seen: 0, clockOffMs: [0, -3_600_000, 86_400_000][i]! };
      });
      /** Keys of what was entered, and of what its person let go. */
      const [entered, letGo] = [new Set<string>(), new Set<string>()];
      const at = (one: Device, act: () => void): void => {
        globalThis.Date = class extends RealDate {
          constructor(...given: []) {
            super(...((given.length > 0 ? given : [RealDate.now() + one.clockOffMs]) as []));
          }
        } as DateConstructor;
        const before = new Set(one.outbox.items().map(({ key }) => key));
        try {
          act();
        } finally {
          globalThis.Date = RealDate;
        }
        for (const { key } of one.outbox.items()) if (!before.has(key)) entered.add(key);
      };
      const before = said;
      const look = async (one: Device): Promise<void> => {
        const entries = await get<{ id: number }[]>(`/batches/${batch.id}/entries`);
        one.seen = entries.at(-1)?.id ?? 0;
      };
      const decide = async (one: Device, mine: boolean): Promise<void> => {
        for (const { key } of one.outbox.undecided()) {
          if (mine) {
            await look(one);
            one.outbox.again(key, one.seen);
          } else {
            letGo.add(key);
            one.outbox.drop(key);
          }
        }
      };
      const kill = async (): Promise<void> => {
        const gone = new Promise((done) => served.process.once('exit', done));
        served.process.kill('SIGKILL');
        await gone;
        served = await serve(folder, Number(new URL(served.address).port));
      };
      for (const one of day) {
        const who = 'device' in one ? devices[one.device]! : devices[0]!;
        switch (one.kind) {
          case 'tick':
            at(who, () =>
              who.outbox.enter(
                batch,
                { kind: 'tick', step: steps[one.step]!.id, load: 0, done: one.done },
                who.seen,
              ),
            );
            break;
          case 'note':
            at(who, () => who.outbox.enter(batch, { kind: 'note', text: `Said ${++said}` }, who.seen));
            break;
          case 'plant': {
            const event: PlantEvent = { kind: 'note', on: begun, text: `Seen ${++said}` };
            at(who, () => void who.outbox.enterEvent(planting, event));
            break;
          }
          case 'sow':
            at(who, () => {
              const body = { ...sowing(begun), name: `Sown ${++said}` };
              who.outbox.enterMaking(uuid(), {
                make: 'addPlanting',
                params: undefined,
                body,
                called: body.name,
              });
            });
            break;
          case 'wire':
            who.wire.state = one.state;
            break;
          case 'reload': {
            // What was just entered is on its way into the device's own database.
            await wait(1);
            // The page that was there is gone: nothing of it goes out any more.
            const { state } = who.wire;
            who.wire.state = 'cut';
            who.wire = new Wire(() => served.address);
            who.wire.state = state;
            who.outbox = open(who);
            break;
          }
          case 'look':
            if (who.wire.state === 'there') await look(who);
            break;
          case 'decide':
            await decide(who, said % 2 === 0);
            break;
          case 'kill':
            await kill();
            break;
          case 'wait':
            await wait(one.ms);
        }
      }
      // Evening: all are in reach, and every person has decided.
      for (const one of devices) one.wire.state = 'there';
      for (let round = 0; round < 400; round++) {
        for (const one of devices) {
          await decide(one, true);
          void one.outbox.send();
        }
        await wait(30);
        if (devices.every(({ outbox }) => outbox.items().length === 0)) break;
      }
      expect(devices.map(({ outbox }) => outbox.items())).toEqual(devices.map(() => []));
      const entries = await get<{ key: string }[]>(`/batches/${batch.id}/entries`);
      const inRecord = entries.map(({ key }) => key);
      const { events } = await get<{ events: { event: { text?: string } }[] }>('/plants/1');
      const texts = events.map(({ event }) => event.text).filter((text) => text?.startsWith('Seen '));
      expect(new Set(texts).size).toBe(texts.length);
      expect(new Set(inRecord).size).toBe(inRecord.length);
      const lines = await get<{ name: string; on: string }[]>('/plants?finished=no');
      const sown = lines.map(({ name }) => name).filter((name) => name.startsWith('Sown '));
      expect(new Set(sown).size).toBe(sown.length);
      const sowings = day.filter(({ kind }) => kind === 'sow').length;
      expect(sown.filter((name) => Number(name.slice(5)) > before)).toHaveLength(sowings);
      const plants = day.filter(({ kind }) => kind === 'plant').length;
      const there = [...entered].filter((key) => inRecord.includes(key)).length;
      // Everything that was entered and not let go is there: entries by their keys, events of plants by their number.
      expect(there).toBe(
        [...entered].length - plants - sowings - [...letGo].filter((key) => entered.has(key)).length,
      );
      expect(texts.filter((text) => Number(text!.slice(5)) > said - 200).length).toBeGreaterThanOrEqual(
        plants,
      );
    }),
    { numRuns: RUNS, endOnFailure: true },
  );
}, 240_000);
