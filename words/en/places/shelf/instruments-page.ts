import { type Filling, line, place } from '#words/place';

export const instrumentsPage = place('shelf/instruments-page', {
  simulatedStandInsEachBehind:
    'Simulated stand-ins, each behind the interface that a real device would use. They drift and are noisy: calibrate before a test that counts.',
  noInstrumentsHeardFromThey: 'No instruments answer. They come back by themselves.',
  theInstruments: 'the instruments',
  calibrated: (at: Filling, get: Filling) => line`calibrated ${at}${get}`,
  neverCalibrated: 'never calibrated',
  calibrate: 'Calibrate',
  the: (name: Filling) => line`the ${name}`,
  standInItIsGiven: 'Stand-in: it is given',
  standInFaultOfThe: 'Stand-in: fault of the ',
  weatherService: 'Weather service',
  today: (value: Filling) => line`${value} today`,
  rain: (mm: Filling) => line`${mm} rain`,
  doesNotAnswer: 'does not answer',
  standInTheWeatherIs: 'Stand-in: the weather is silent',
  inItRead: (value: Filling, toFixed: Filling) => line`in ${value} it read ${toFixed}`,
  atValues: (values: Filling) => line`at ${values}`,
});
