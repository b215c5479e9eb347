import { Router } from 'express';
import { z } from 'zod';
import { num, oneOf } from '#contract/fields';
import { forecastFor } from '#core/season/weather';
import { type InstrumentHub } from '#server/instruments/hub';
import { faults, isSimulated, type Instrument, type Simulated } from '#server/instruments/instrument';
import { notFound, parse, Problem } from '#server/http/problem';
import { openStream } from '#server/http/stream';

export const putSchema = z.strictObject({ truth: num(-1_000_000, 1_000_000) });
export const faultSchema = z.strictObject({ fault: oneOf(faults).nullable() });
export const calibrateSchema = z.strictObject({
  references: z.array(num(-1_000_000, 1_000_000)).min(1).max(3).optional(),
});

export const weatherSchema = z.strictObject({
  answers: z.boolean({ error: 'must be true or false' }),
});

const about = (one: Instrument): object => ({
  id: one.id,
  kind: one.kind,
  name: one.name,
  unit: one.unit,
  low: one.low,
  high: one.high,
  references: one.references,
  calibrated: one.calibrated,
  simulated: isSimulated(one),
});

/** Devices: listed, read, streamed, calibrated; the stand-ins can be told what lies on them, and to fail. */
export function instrumentRoutes(hub: InstrumentHub, now: () => Date): Router {
  const router = Router();
  const find = (id: string): Instrument => {
    const one = hub.find(id);
    if (!one) throw notFound('instrument', id);
    return one;
  };
  const simulated = (id: string): Simulated => {
    const one = find(id);
    if (!isSimulated(one)) throw new Problem(409, 'A real device', `${one.name} is not a stand-in`);
    return one;
  };
  router.get('/', (_req, res) => {
    res.json(hub.instruments.map(about));
  });
  router.get('/readings', (_req, res) => {
    res.json(hub.readAll(now()));
  });
  let weatherAnswers = true;
  router.get('/weather', (_req, res) => {
    if (!weatherAnswers) throw new Problem(503, 'No weather', 'the weather service does not answer');
    res.json(forecastFor(now(), 7));
  });
  router.post('/weather/answers', (req, res) => {
    weatherAnswers = parse(weatherSchema, req.body).answers;
    res.status(204).end();
  });
  router.get('/stream', (req, res) => {
    const stream = openStream(req, res);
    stream.send('readings', hub.readAll(now()));
    stream.onEnd(hub.listen((readings) => stream.send('readings', readings)));
  });
  router.post('/:id/calibrate', (req, res) => {
    const one = find(req.params.id);
    const { references } = parse(calibrateSchema, req.body);
    res.json(one.calibrate(references ?? one.references, now()));
  });
  router.post('/:id/put', (req, res) => {
    simulated(req.params.id).put(parse(putSchema, req.body).truth);
    res.status(204).end();
  });
  router.post('/:id/fault', (req, res) => {
    simulated(req.params.id).fail(parse(faultSchema, req.body).fault);
    res.status(204).end();
  });
  return router;
}
