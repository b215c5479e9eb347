import { type Measured, type MixInput, evaluateMix } from '#core/mix/evaluate';
import { CARBONATE_STOPS_PH, limeScale } from '#core/mix/lime-curve';
import { limedMeqPerL } from '#core/mix/ph';
import { type ReadingId } from '#core/judge/readings';
import { type Sampled, sampleReadings } from '#core/spread/sample';
import { type Spreads } from '#core/spread/spreads';

/** What keeps a recipe's odds down, and what they would be once a test had confirmed the typical figure. */
export interface KeptDown {
  id: ReadingId;
  /** Share of the draws in which this reading is inside its window. */
  inside: number;
  test: LiftingTest;
  /** Odds that all is right after this test and those before it in the list. */
  lifted: number;
}

/** A test at the bench that would narrow a reading. */
export type LiftingTest = 'jar' | 'ph' | 'drain' | 'ec';

/** Odds from which nobody need test more. */
export const GOOD_ODDS = 0.8;
/** Enough to tell eight in ten from seven. */
const DRAWS = 500;

/** What a test would say of a mix that is as its figures say. */
function confirmed(id: ReadingId, input: MixInput): { test: LiftingTest; measured: Measured } | null {
  const e = evaluateMix(input);
  switch (id) {
    case 'ph': {
      const { b, c } = e.acidity;
      const limed = limedMeqPerL(e.doses);
      const before = evaluateMix({ ...input, amendments: [], limeToPh: undefined }).ph;
      // A straight line on the scale of lime through the mix without lime and with it, as the jars would draw it.
      return !input.measured?.jar &&
        limed > 0 &&
        e.ph - before > 0.05 &&
        e.ph < CARBONATE_STOPS_PH &&
        b > 0 &&
        Number.isFinite(c)
        ? {
            test: 'jar',
            measured: {
              jar: {
                bufferMeqPerLPerPh: limed / (limeScale(e.ph) - limeScale(before)),
                phBeforeLime: before,
              },
            },
          }
        : { test: 'ph', measured: { ph: e.ph } };
    }
    case 'air':
      return { test: 'drain', measured: { air: e.drained.air } };
    case 'ecSaturated':
      return { test: 'ec', measured: { ecSaturatedMSPerCm: e.ecSaturatedMSPerCm } };
    default:
      return null;
  }
}

/**
 * What keeps the odds under eight in ten and which tests would lift them, the one that helps most first; empty where
 * nothing has to, or where no test would.
 * @param now what was sampled of it already
 * @throws RangeError as evaluateMix
 */
export function keptDown(input: MixInput, now: Sampled, spreads: Spreads, seed: number): KeptDown[] {
  const said: KeptDown[] = [];
  let [settled, odds] = [input, now];
  while (odds.allInside < GOOD_ODDS && said.length < 2) {
    const worst = [...odds.bands]
      .sort((a, b) => a.inside - b.inside)
      .find((band) => band.inside < 0.95 && untested(band.id, settled));
    const test = worst && confirmed(worst.id, settled);
    if (!worst || !test) break;
    settled = { ...settled, measured: { ...settled.measured, ...test.measured } };
    const after = sampleReadings(settled, spreads, seed, DRAWS);
    if (after.allInside < odds.allInside + 0.03) break;
    said.push({ id: worst.id, inside: worst.inside, test: test.test, lifted: after.allInside });
    odds = after;
  }
  return said;
}

const untested = (id: ReadingId, { measured = {} }: MixInput): boolean =>
  id === 'ph'
    ? measured.ph === undefined
    : id === 'air'
      ? measured.air === undefined
      : id === 'ecSaturated' && measured.ecSaturatedMSPerCm === undefined;
