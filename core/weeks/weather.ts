import { normalAt, streamOf, uniformAt } from '#core/stats/normal';
import { type None } from '#core/units/message';

/** Potential evaporation inside, mm a day. Common practice, no source. */
export const weathers = [
  { id: 'dull', potentialMmPerDay: 1 },
  { id: 'bright', potentialMmPerDay: 3.5 },
  { id: 'sun', potentialMmPerDay: 6 },
] as const;
/** Names of the weathers. */
export const houses = ['dull', 'bright', 'sun'] as const satisfies readonly (typeof weathers)[number]['id'][];
export type House = (typeof houses)[number];
export const potentialIn = (house: House): number =>
  weathers.find(({ id }) => id === house)!.potentialMmPerDay;
/** What the screen calls each weather. */
export type WeatherFacts = Record<`weather.${House}`, None>;

/** What differs from one life to the next, as factors of what is usual. */
export interface Luck {
  /** Of the potential evaporation of a day, from 1. */
  day: (day: number) => number;
  uptake: number;
  leach: number;
  /** What the report says of the water. */
  water: number;
}

/** Days of the one life differ by so much either way. */
const MEAN_DAYS = 0.1;
const meanStream = streamOf('weather');

/** The mean weather: days a tenth more or less. */
export const meanLuck = (seed: number): Luck => ({
  day: (day) => 1 + MEAN_DAYS * (2 * uniformAt(seed, meanStream, day) - 1),
  ...{ uptake: 1, leach: 1, water: 1 },
});

/**
 * Scatter of lives: one factor of weather for the whole life, days that follow each other, what plants take, how much
 * runs through, and the water's report. Common practice, no source (model § 24).
 */
export const lifeScatter = {
  weather: 0.25,
  day: 0.35,
  follows: 0.7,
  uptake: 0.25,
  leach: 0.33,
  water: 0.1,
} as const;
const streams = {
  ...{ weather: streamOf('life/weather'), day: streamOf('life/day'), uptake: streamOf('life/uptake') },
  ...{ leach: streamOf('life/leach'), water: streamOf('life/water') },
};

/** Log-normal with a mean of 1. */
const around = (sd: number, z: number): number => Math.exp(sd * z - (sd * sd) / 2);

/** How one life of many turns out. @param draw from 0 @param days that it lasts */
export function luckOf(seed: number, draw: number, days: number): Luck {
  const at = (name: keyof typeof streams): number => normalAt(seed, streams[name], draw);
  const whole = around(lifeScatter.weather, at('weather'));
  const { follows } = lifeScatter;
  const factors = new Float64Array(days + 1);
  let z = 0;
  for (let day = 1; day <= days; day++) {
    const fresh = normalAt(seed, streams.day, draw * 400 + day);
    z = day === 1 ? fresh : follows * z + Math.sqrt(1 - follows * follows) * fresh;
    factors[day] = whole * around(lifeScatter.day, z);
  }
  return {
    day: (day) => factors[day]!,
    uptake: around(lifeScatter.uptake, at('uptake')),
    leach: Math.max(0, 1 + lifeScatter.leach * Math.max(-1.7, Math.min(1.7, at('leach')))),
    water: Math.max(0.5, 1 + lifeScatter.water * at('water')),
  };
}
