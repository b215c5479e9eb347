import { normalAt, streamOf, uniformAt } from '#core/stats/normal';
import { checkRange } from '#core/units/check';
import { fixed } from '#core/units/show';

export interface DayForecast {
  /** YYYY-MM-DD, in UTC. */
  day: string;
  minC: number;
  maxC: number;
  rainMm: number;
}

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
    };
  });
}

export interface WeatherRisk {
  code: 'frost' | 'cold' | 'dry' | 'wet';
  severity: 'warn' | 'note';
  text: string;
}

/** Tender plants dislike less than about this, °C: common practice, no source. */
const COLD_C = 5;

/** What the coming days do to plants outdoors and under thin cover. Common practice, no source. */
export function weatherRisks(forecast: readonly DayForecast[]): WeatherRisk[] {
  const risks: WeatherRisk[] = [];
  const tonight = forecast[0];
  if (tonight && tonight.minC <= 1)
    risks.push({
      code: 'frost',
      severity: 'warn',
      text: `Frost tonight, down to ${fixed(tonight.minC, 0)} °C: cover, or bring in what is tender.`,
    });
  else if (tonight && tonight.minC <= COLD_C)
    risks.push({
      code: 'cold',
      severity: 'note',
      text: `Cold tonight, ${fixed(tonight.minC, 0)} °C: tomatoes and peppers stay in; water in the morning only.`,
    });
  const dry = forecast.findIndex((d) => d.rainMm >= 1);
  const spell = dry < 0 ? forecast.length : dry;
  if (spell >= 4)
    risks.push({
      code: 'dry',
      severity: 'note',
      text: `${spell} days without rain to come: small blocks and plugs outdoors want water daily.`,
    });
  const rain = forecast.slice(0, 3).reduce((sum, d) => sum + d.rainMm, 0);
  if (rain >= 15)
    risks.push({
      code: 'wet',
      severity: 'note',
      text: `About ${rain.toFixed(0)} mm of rain in three days: it washes feed out of open trays.`,
    });
  return risks;
}

const round = (value: number): number => Math.round(value * 10) / 10;
