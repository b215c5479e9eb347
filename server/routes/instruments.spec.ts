import { createServer } from 'node:http';
import { get, type ClientRequest } from 'node:http';
import { type AddressInfo } from 'node:net';
import request from 'supertest';
import { weatherRisks } from '#core/season/weather-risks';
import { forecastFor } from '#server/base/simulated/weather';
import { InstrumentHub } from '#server/base/instruments/hub';
import { type SimulatedInstrument, simulatedBench } from '#server/base/simulated/instruments';
import { testApp } from '#testing/server';

const START = new Date('2031-03-04T08:00:00Z');
const later = (hours: number): Date => new Date(START.getTime() + hours * 3_600_000);
const pen = (): SimulatedInstrument =>
  simulatedBench(START).find((simulatedInstrument) => simulatedInstrument.id === 'pen-ph')!;
const mean = (simulatedInstrument: SimulatedInstrument, at: Date, n = 200): number =>
  Array.from({ length: n }, () => simulatedInstrument.read(at).value!).reduce((a, b) => a + b) / n;

describe('the stand-ins', () => {
  test('an uncalibrated pen is off and drifts; two buffers put it right', () => {
    const simulatedInstrument = pen();
    simulatedInstrument.put(5.8);
    expect(Math.abs(mean(simulatedInstrument, START) - 5.8)).toBeGreaterThan(0.05);
    const { readBefore, gain } = simulatedInstrument.calibrate([4.01, 7], START);
    expect(readBefore[0]).not.toBeCloseTo(4.01, 1);
    expect(gain).toBeGreaterThan(1);
    expect(mean(simulatedInstrument, START)).toBeCloseTo(5.8, 1);
    expect(mean(simulatedInstrument, later(20)) - mean(simulatedInstrument, START)).toBeCloseTo(0.2, 1);
  });

  test('noise is there, and the same seed makes the same noise', () => {
    const values = Array.from({ length: 50 }, () => pen().read(START).value);
    expect(new Set(values).size).toBe(1);
    const simulatedInstrument = pen();
    expect(
      new Set(Array.from({ length: 50 }, () => simulatedInstrument.read(START).value)).size,
    ).toBeGreaterThan(3);
  });

  test.each(['flat-battery', 'out-of-range', 'disconnected'] as const)(
    '%s gives no value, and ends',
    (fault) => {
      const simulatedInstrument = pen();
      simulatedInstrument.fail(fault);
      expect(simulatedInstrument.read(START)).toMatchObject({ value: null, fault });
      expect(() => simulatedInstrument.calibrate([7], START)).toThrow('no fault');
      simulatedInstrument.fail(null);
      expect(simulatedInstrument.read(START).value).not.toBeNull();
    },
  );

  test('past its range it says so; wrong references are refused', () => {
    const simulatedInstrument = pen();
    simulatedInstrument.put(60);
    expect(simulatedInstrument.read(START)).toMatchObject({ value: null, fault: 'out-of-range' });
    expect(() => simulatedInstrument.calibrate([4, 4], START)).toThrow('references must be values differ');
    expect(() => simulatedInstrument.calibrate([], START)).toThrow('references must be 1 to 3 values');
    expect(() => simulatedInstrument.calibrate([99], START)).toThrow(
      'references.0 must be a number from 0 to 14',
    );
  });
});

describe('routes', () => {
  const { app } = testApp();
  const post = (path: string, body: object) => request(app).post(`/api/instruments/${path}`).send(body);

  test('put, fail, read, calibrate', async () => {
    await post('scale/put', { truth: 500 }).expect(204);
    const value = async (): Promise<{ value: number | null; fault: string | null }> =>
      (await request(app).get('/api/instruments/readings')).body.find(
        (r: { instrument: string }) => r.instrument === 'scale',
      );
    expect((await value()).value).toBeGreaterThan(490);
    await post('scale/fault', { fault: 'flat-battery' }).expect(204);
    expect(await value()).toMatchObject({ value: null, fault: 'flat-battery' });
    await post('scale/fault', { fault: null }).expect(204);
    expect((await post('scale/calibrate', {})).body.references).toEqual([0, 1000]);
    const weather = () => request(app).get('/api/instruments/weather');
    expect((await weather()).body).toHaveLength(7);
    await post('weather/answers', { answers: false }).expect(204);
    expect((await weather()).status).toBe(503);
    await post('weather/answers', { answers: true }).expect(204);
    expect((await weather()).status).toBe(200);
  });

  test.each<[string, object, number]>([
    ['kettle/put', { truth: 1 }, 404],
    ['scale/put', { truth: 'heavy' }, 400],
    ['scale/fault', { fault: 'bored' }, 400],
    ['scale/calibrate', { references: [1, 2, 3, 4] }, 400],
  ])('%s %j is refused', async (path, body, status) => {
    expect((await post(path, body)).status).toBe(status);
  });
});

test('a hundred instruments and fifty clients: all are served, and none is left behind', async () => {
  const many = Array.from({ length: 25 }, (_, i) => simulatedBench(START, i)).flat();
  const hub = new InstrumentHub(many, 20);
  const { app } = testApp(undefined, hub);
  const server = createServer(app).listen(0, '127.0.0.1');
  await new Promise((done) => server.once('listening', done));
  const { port } = server.address() as AddressInfo;
  const clients: ClientRequest[] = [];
  const beats = await Promise.all(
    Array.from(
      { length: 50 },
      () =>
        new Promise<number>((done) => {
          let heard = 0;
          const client = get(
            { port, host: '127.0.0.1', path: '/api/instruments/stream', agent: false },
            (res) => {
              res.on('data', (chunk: Buffer) => {
                heard += chunk.toString().split('event: readings').length - 1;
                if (heard >= 5) done(heard);
              });
              res.on('error', () => undefined);
            },
          );
          client.on('error', () => undefined);
          clients.push(client);
        }),
    ),
  );
  expect(Math.min(...beats)).toBeGreaterThanOrEqual(5);
  expect(hub.listening).toEqual({ clients: 50, beating: true });
  for (const client of clients) client.destroy();
  for (let i = 0; i < 100 && hub.listening.clients > 0; i++)
    await new Promise((done) => setTimeout(done, 20));
  expect(hub.listening).toEqual({ clients: 0, beating: false });
  server.close();
}, 20_000);

describe('weather', () => {
  test('a day is the same whenever it is asked for; winters are cold', () => {
    const week = forecastFor(START, 7);
    expect(forecastFor(new Date('2031-03-06T22:00:00Z'), 3)).toEqual(week.slice(2, 5));
    const meanOf = (from: string): number =>
      forecastFor(new Date(from), 14).reduce((s, d) => s + (d.minC + d.maxC) / 2, 0) / 14;
    expect(meanOf('2031-01-10T00:00:00Z')).toBeLessThan(meanOf('2031-07-10T00:00:00Z') - 8);
    expect(() => forecastFor(START, 0)).toThrow('days must be a number from 1 to 14');
  });

  test('frost, cold, drought and rain are told; a mild week is not', () => {
    const day = (minC: number, rainMm: number) => ({ day: 'x', minC, maxC: minC + 8, rainMm });
    expect(weatherRisks([day(-2, 3)]).map((r) => r.code)).toEqual(['frost']);
    expect(weatherRisks([day(4, 3)]).map((r) => r.code)).toEqual(['cold']);
    expect(weatherRisks(Array.from({ length: 5 }, () => day(10, 0))).map((r) => r.code)).toEqual(['dry']);
    expect(weatherRisks([day(9, 9), day(9, 9), day(9, 0)]).map((r) => r.code)).toEqual(['wet']);
    expect(weatherRisks([day(9, 2), day(9, 0), day(9, 3)])).toEqual([]);
  });
});
