import { type DayForecast } from '#core/season/weather-risks';
import { normalAt, streamOf, uniformAt } from '#core/stats/normal';
import { checkRange } from '#core/units/check';

const MS_PER_DAY = 86_400_000;
const SEED = 77;

/**
 * A stand-in for a weather service: a mild northern climate with a yearly swing, made up, the same for a day
 * whenever it is asked.
 * @param days 1–14
 */
export function forecastFor(from: Date, days: number): DayForecast[] {
  checkRange('days', days, 1, 14);
  const first = Math.floor(from.getTime() / MS_PER_DAY);
  return Array.from({ length: days }, (_, i) => {
    const n = first + i;
    const day = new Date(n * MS_PER_DAY).toISOString().slice(0, 10);
    // Coldest around 20 January.
    const swing = -Math.cos((2 * Math.PI * ((n % 365.25) - 19)) / 365.25);
    const mean = 9.5 + 8 * swing + 2.5 * normalAt(SEED, streamOf('mean'), n);
    const range = 4 + 1.5 * Math.abs(normalAt(SEED, streamOf('range'), n));
    const wet = uniformAt(SEED, streamOf('wet'), n) < 0.38;
    return {
      day,
      minC: round(mean - range),
      maxC: round(mean + range),
      rainMm: wet ? round(8 * uniformAt(SEED, streamOf('rain'), n)) : 0,
      windKmh: round(Math.max(2, 13 + 7 * normalAt(SEED, streamOf('wind'), n))),
    };
  });
}

const round = (value: number): number => Math.round(value * 10) / 10;
