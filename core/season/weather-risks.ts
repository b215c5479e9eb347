import { type SeasonMessage, seasonSay } from '#core/season/season-facts';

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
  text: SeasonMessage;
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
      text: seasonSay('weather.frost', { celsius: tonight.minC }),
    });
  else if (tonight && tonight.minC <= COLD_C)
    risks.push({
      code: 'cold',
      severity: 'note',
      text: seasonSay('weather.cold', { celsius: tonight.minC }),
    });
  const dry = forecast.findIndex((d) => d.rainMm >= 1);
  const spell = dry < 0 ? forecast.length : dry;
  if (spell >= 4)
    risks.push({
      code: 'dry',
      severity: 'note',
      text: seasonSay('weather.dry', { days: spell }),
    });
  const rain = forecast.slice(0, 3).reduce((sum, d) => sum + d.rainMm, 0);
  if (rain >= 15)
    risks.push({
      code: 'wet',
      severity: 'note',
      text: seasonSay('weather.wet', { mm: rain }),
    });
  return risks;
}
