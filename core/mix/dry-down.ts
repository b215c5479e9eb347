import { type Evaluation } from '#core/mix/evaluate';
import { type None } from '#core/units/message';
import { checkRange } from '#core/units/check';
import { limits } from '#core/units/limits';
import { exposedAreaMm2, type Vessel } from '#core/vessel/vessel';

/** Water that leaves a wet, open surface, mm an hour. Common practice, no source. */
export const weathers = [
  { id: 'dull', evaporationMmPerH: 0.08 },
  { id: 'bright', evaporationMmPerH: 0.25 },
  { id: 'sun', evaporationMmPerH: 0.6 },
] as const;
/** Names of the weathers. */
export const houses = ['dull', 'bright', 'sun'] as const satisfies readonly (typeof weathers)[number]['id'][];
export type Weather = (typeof weathers)[number];
/** What the screen calls each weather. */
export type WeatherFacts = Record<`weather.${Weather['id']}`, None>;

/**
 * Hours until half of the water has left that counts: that volume / (evaporation × exposed area). In a cell the easily
 * available water counts, and it leaves by the top. A soaked block has all between its wet state and 100 cm to give, and
 * loses it by its top and four sides.
 * @param evaporationMmPerH 0.01–5
 */
export function dryDownHours(evaluation: Evaluation, vessel: Vessel, evaporationMmPerH: number): number {
  checkRange('evaporationMmPerH', evaporationMmPerH, ...limits.evaporationMmPerH);
  const halfLitres =
    vessel.shape === 'block'
      ? evaluation.availableWaterMl / 2000
      : (evaluation.column.volumeL * evaluation.easilyAvailableWater) / 2;
  return halfLitres / ((evaporationMmPerH * exposedAreaMm2(vessel)) / 1e6);
}
