import { allow } from '#core/units/allowed';
import { type Composition } from '#core/mix/composition';
import { limits } from '#core/units/limits';
import { checkRange, OutOfRange } from '#core/units/check';

/** Specific heats, kJ/kg K: CRC Handbook (water), dry organic and mineral matter typical (from memory). */
const C_WATER = 4.186;
const C_DRY = { organic: 1.3, mineral: 0.85 };

export const BOILING_C = 100;

export interface HotWater {
  waterLitres: number;
  finalC: number;
  /** Degree of saturation afterwards. */
  finalSaturation: number;
}

/** Heat that warms so many litres of tapped mix by one degree, kJ/K: dry matter and the water that it brings along. */
export function heatCapacity(composition: Composition, litres: number): number {
  const dry = composition.parts.reduce((sum, p, i) => {
    const kg =
      (litres * composition.densification * composition.shares[i]! * p.material.dryBulkDensityGPerL) / 1000;
    return sum + kg * C_DRY[p.material.make];
  }, 0);
  return dry + litres * composition.waterAsBought * C_WATER;
}

/**
 * Boiling water to pour after, where the probe reads less than it should.
 * @param mixKJPerK heat capacity of the mix before any was poured
 * @param pouredLitres what was poured so far
 * @returns 0 where it is warm enough
 */
export const moreHotWater = (
  mixKJPerK: number,
  pouredLitres: number,
  readC: number,
  targetC: number,
): number =>
  Math.max(0, ((mixKJPerK + pouredLitres * C_WATER) * (targetC - readC)) / (C_WATER * (BOILING_C - targetC)));

/** Share of the heat of what was poured that the mix did not get, 0–1. */
export const heatLost = (mixKJPerK: number, pouredLitres: number, mixC: number, readC: number): number =>
  Math.min(1, Math.max(0, 1 - (mixKJPerK * (readC - mixC)) / (pouredLitres * C_WATER * (BOILING_C - readC))));

/**
 * Boiling or hot water that brings tapped mix at its as-bought moisture to a temperature:
 * T = (m_hot c_w T_hot + C_mix T_mix) / (m_hot c_w + C_mix). Losses to tub and air are not counted.
 * @param composition without firming
 * @throws OutOfRange when the target cannot be reached, or not before the mix is saturated
 */
export function hotWater(
  composition: Composition,
  litres: number,
  mixC: number,
  waterC: number,
  targetC: number,
): HotWater {
  checkRange('litres', litres, ...limits.hotMixLitres);
  checkRange('mixC', mixC, ...limits.mixC);
  checkRange('waterC', waterC, ...limits.hotWaterC);
  checkRange('targetC', targetC, ...limits.heatTargetC);
  const pores = litres * composition.totalPorosity;
  const brought = litres * composition.waterAsBought;
  if (targetC <= mixC) return { waterLitres: 0, finalC: mixC, finalSaturation: brought / pores };
  if (targetC >= waterC)
    throw new OutOfRange('targetC', targetC, allow('allowed.below-water', { celsius: waterC }));

  const mixHeat = heatCapacity(composition, litres);
  const waterLitres = (mixHeat * (targetC - mixC)) / (C_WATER * (waterC - targetC));
  if (brought + waterLitres > pores) {
    const room = Math.max(0, pores - brought) * C_WATER;
    const most = (room * waterC + mixHeat * mixC) / (room + mixHeat);
    throw new OutOfRange(
      'targetC',
      targetC,
      allow('allowed.hot-water-holds', { celsius: Math.floor(most * 10) / 10 }),
    );
  }
  return { waterLitres, finalC: targetC, finalSaturation: (brought + waterLitres) / pores };
}

/** Newton's law of cooling, fitted to two readings of the thermometer. */
export interface Cooling {
  ratePerH: number;
  ambientC: number;
  startC: number;
}

/** @throws OutOfRange when the readings do not cool towards the surroundings */
export function coolingFrom(startC: number, laterC: number, hours: number, ambientC: number): Cooling {
  checkRange('hours', hours, 0.01, 240);
  if (!(laterC > ambientC && laterC < startC)) {
    throw new OutOfRange('laterC', laterC, allow('allowed.between-readings', { ambientC, startC }));
  }
  return { ratePerH: Math.log((startC - ambientC) / (laterC - ambientC)) / hours, ambientC, startC };
}

/** Hours from the start until the mix is down to a temperature. @returns Infinity where it never gets there */
export function hoursUntil(cooling: Cooling, celsius: number): number {
  if (celsius >= cooling.startC) return 0;
  if (celsius <= cooling.ambientC) return Infinity;
  return Math.log((cooling.startC - cooling.ambientC) / (celsius - cooling.ambientC)) / cooling.ratePerH;
}
