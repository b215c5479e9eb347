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
export function checkTest(lotTest: LotTest): void {
  switch (lotTest.test) {
    case 'weigh':
      checkRange('litres', lotTest.litres, ...limits.measureLitres);
      checkRange('kg', lotTest.kg, ...limits.packageKg);
      return;
    case 'dry':
      checkRange('wetG', lotTest.wetG, ...limits.sampleG);
      if (!(lotTest.dryG > 0 && lotTest.dryG <= lotTest.wetG))
        throw new OutOfRange('dryG', lotTest.dryG, allow('allowed.dry-of-wet', { grams: lotTest.wetG }));
      return;
    case 'drain': {
      const most = 900 * columnOf(lotTest.vessel).volumeL;
      if (!(lotTest.drainedMl >= 0 && lotTest.drainedMl <= most))
        throw new OutOfRange(
          'drainedMl',
          lotTest.drainedMl,
          allow('allowed.nine-tenths-of-vessel', { litres: most / 1000 }),
        );
      return;
    }
    case 'ph':
      checkRange('ph', lotTest.ph, ...limits.measuredPh);
      return;
    case 'ec':
      checkRange('ec', lotTest.ec, ...limits.measuredEcMSPerCm);
      return;
    case 'jar':
      checkRange('gPerL', lotTest.gPerL, ...limits.doseGPerL);
      checkRange('phBefore', lotTest.phBefore, ...limits.measuredPh);
      checkRange('phAfter', lotTest.phAfter, ...limits.measuredPh);
      if (!(lotTest.phAfter > lotTest.phBefore + 0.05))
        throw new OutOfRange(
          'phAfter',
          lotTest.phAfter,
          allow('allowed.above-before-lime', { ph: lotTest.phBefore }),
        );
      return;
    case 'screen':
      checkRange('mm', lotTest.mm, ...limits.screenedMm);
      checkRange('overPct', lotTest.overPct, ...limits.pctOfParts);
      if (!(lotTest.largestMm >= lotTest.mm))
        throw new OutOfRange(
          'largestMm',
          lotTest.largestMm,
          allow('allowed.at-least-screen', { mm: lotTest.mm }),
        );
      return;
    case 'falls':
      checkRange('falls', lotTest.falls, ...limits.blockFalls);
  }
}
