import { problem } from '#words/problem-facts';
import { none } from '#core/units/message';
import { type InstrumentInfo } from '#contract/instruments';
import { notFound, Problem } from '#server/base/http/problem';
import { type Api } from '#server/base/http/serve';
import { openStream } from '#server/base/http/stream';
import { type InstrumentHub } from '#server/base/instruments/hub';
import { isSimulated, type Instrument, type Simulated } from '#server/base/instruments/instrument';
import { forecastFor } from '#server/base/simulated/weather';

const about = (instrument: Instrument): InstrumentInfo => ({
  id: instrument.id,
  kind: instrument.kind,
  name: instrument.name,
  unit: instrument.unit,
  low: instrument.low,
  high: instrument.high,
  references: [...instrument.references],
  calibrated: instrument.calibrated,
  simulated: isSimulated(instrument),
});

/** Devices: listed, read, streamed, calibrated; the stand-ins can be told what lies on them, and to fail. */
export function instrumentRoutes(api: Api, hub: InstrumentHub, now: () => Date): void {
  const find = (id: string): Instrument => {
    const instrument = hub.find(id);
    if (!instrument) throw notFound('instrument', id);
    return instrument;
  };
  const simulated = (id: string): Simulated => {
    const instrument = find(id);
    if (!isSimulated(instrument))
      throw new Problem(409, problem('problem.real-device', { name: instrument.name }));
    return instrument;
  };
  api.serve('instruments', () => hub.instruments.map(about));
  api.serve('instrumentReadings', () => hub.readAll(now()));
  let weatherAnswers = true;
  api.serve('weather', () => {
    if (!weatherAnswers) throw new Problem(503, problem('problem.no-weather', none));
    return forecastFor(now(), 7);
  });
  api.serve('letWeatherAnswer', ({ body }) => {
    weatherAnswers = body.answers;
  });
  api.serve('instrumentStream', ({ req, res }) => {
    const stream = openStream(req, res);
    stream.send('readings', hub.readAll(now()));
    stream.onEnd(hub.listen((readings) => stream.send('readings', readings)));
  });
  api.serve('calibrate', ({ params, body }) => {
    const instrument = find(params.instrument);
    return instrument.calibrate(body.references ?? instrument.references, now());
  });
  api.serve('putOnInstrument', ({ params, body }) => simulated(params.instrument).put(body.truth));
  api.serve('failInstrument', ({ params, body }) => simulated(params.instrument).fail(body.fault));
}
