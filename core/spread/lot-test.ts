import { allow } from '#core/units/allowed';
import { type Amendment } from '#core/material/amendment';
import { type EcMethod } from '#core/mix/salts';
import { columnOf } from '#core/mix/water-air';
import { checkRange, OutOfRange } from '#core/units/check';
import { limits } from '#core/units/limits';
import { type Vessel } from '#core/vessel/vessel';

/** What was done with a lot of a material, and read. Percent and pen units. */
export type LotTest =
  /** A struck measure of it, weighed. */
  | { test: 'weigh'; litres: number; kg: number }
  /** A sample weighed wet, and again when dry. */
  | { test: 'dry'; wetG: number; dryG: number }
  /** Filled into a vessel, soaked to the brim, drained: what ran out. */
  | { test: 'drain'; vessel: Vessel; drainedMl: number }
  | { test: 'ph'; ph: number; method: EcMethod }
  | { test: 'ec'; ec: number; method: EcMethod }
  /** So much lime in a jar of it, and its pH before and after. */
  | { test: 'jar'; lime: Amendment; gPerL: number; phBefore: number; phAfter: number }
  /** Through a screen: what stayed on, and the largest piece of all. */
  | { test: 'screen'; mm: number; overPct: number; largestMm: number }
  /** A pressed block dropped flat from 30 cm onto a board: falls that it outlived. */
  | { test: 'falls'; falls: number };
export type LotTestId = LotTest['test'];

/** @throws OutOfRange for a reading that cannot be */
export function checkTest(one: LotTest): void {
  switch (one.test) {
    case 'weigh':
      checkRange('litres', one.litres, ...limits.measureLitres);
      checkRange('kg', one.kg, ...limits.packageKg);
      return;
    case 'dry':
      checkRange('wetG', one.wetG, ...limits.sampleG);
      if (!(one.dryG > 0 && one.dryG <= one.wetG))
        throw new OutOfRange('dryG', one.dryG, allow('allowed.dry-of-wet', { grams: one.wetG }));
      return;
    case 'drain': {
      const most = 900 * columnOf(one.vessel).volumeL;
      if (!(one.drainedMl >= 0 && one.drainedMl <= most))
        throw new OutOfRange(
          'drainedMl',
          one.drainedMl,
          allow('allowed.nine-tenths-of-vessel', { litres: most / 1000 }),
        );
      return;
    }
    case 'ph':
      checkRange('ph', one.ph, ...limits.measuredPh);
      return;
    case 'ec':
      checkRange('ec', one.ec, ...limits.measuredEcMSPerCm);
      return;
    case 'jar':
      checkRange('gPerL', one.gPerL, ...limits.doseGPerL);
      checkRange('phBefore', one.phBefore, ...limits.measuredPh);
      checkRange('phAfter', one.phAfter, ...limits.measuredPh);
      if (!(one.phAfter > one.phBefore + 0.05))
        throw new OutOfRange(
          'phAfter',
          one.phAfter,
          allow('allowed.above-before-lime', { ph: one.phBefore }),
        );
      return;
    case 'screen':
      checkRange('mm', one.mm, ...limits.screenedMm);
      checkRange('overPct', one.overPct, ...limits.pctOfParts);
      if (!(one.largestMm >= one.mm))
        throw new OutOfRange('largestMm', one.largestMm, allow('allowed.at-least-screen', { mm: one.mm }));
      return;
    case 'falls':
      checkRange('falls', one.falls, ...limits.blockFalls);
  }
}
