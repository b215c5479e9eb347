import { fixed } from '#core/units/show';

export interface DayForecast {
  /** YYYY-MM-DD, in UTC. */
  day: string;
  minC: number;
  maxC: number;
  rainMm: number;
  /** Mean of the day, km/h; not known from every service. */
  windKmh?: number | undefined;
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
