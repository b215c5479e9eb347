import { coolingFrom, hoursUntil } from '#core/batch/hot-water';
import { type Stage } from '#core/mix/stage';
import { stageWindows } from '#core/judge/windows';
import { convertEc, type EcMethod } from '#core/mix/salts';
import { squeezeAt, squeezes } from '#core/mix/moisture';
import { checkRange, OutOfRange } from '#core/units/check';

export const benchTestIds = [
  'squeeze',
  'drain',
  'cooling',
  'air',
  'fill',
  'moisture',
  'ph',
  'ec',
  'screen',
  'yield',
] as const;
export type BenchTestId = (typeof benchTestIds)[number];

/** One number to be read or typed. */
export interface TestField {
  id: string;
  label: string;
  unit: string;
  low: number;
  high: number;
  /** Kind of instrument that can give it. */
  from?: 'scale' | 'pen-ph' | 'pen-ec' | 'thermometer';
}

export interface TestResult {
  /** What it comes to: percent, pH, mS/cm, seconds, g/L. */
  value: number;
  unit: string;
  low: number | null;
  high: number | null;
  verdict: 'low' | 'ok' | 'high';
  says: string;
  /** Taken over into the recipe or the correction, where it means something there. */
  measures?: {
    airPct?: number;
    ph?: number;
    ecSaturatedMSPerCm?: number;
    saturation?: number;
    shrinkagePct?: number;
  };
}

/** What a test is judged against. Fractions. */
export interface TestContext {
  stage: Stage;
  ph: { low: number; high: number };
  totalPorosity: number;
  drainedWater: number;
  dryBulkDensityGPerL: number;
  /** Saturation the batch is mixed to. */
  targetSaturation: number;
  looseLitres: number;
}

export interface BenchTest {
  id: BenchTestId;
  name: string;
  howTo: string;
  fields: readonly TestField[];
  compute: (values: Readonly<Record<string, number>>, context: TestContext) => TestResult;
}

const field = (
  id: string,
  label: string,
  unit: string,
  low: number,
  high: number,
  from?: TestField['from'],
): TestField => ({ id, label, unit, low, high, ...(from && { from }) });

const verdictOf = (value: number, low: number | null, high: number | null): TestResult['verdict'] =>
  low !== null && value < low - 1e-9 ? 'low' : high !== null && value > high + 1e-9 ? 'high' : 'ok';

const result = (
  value: number,
  unit: string,
  low: number | null,
  high: number | null,
  words: Record<TestResult['verdict'], string>,
  measures?: TestResult['measures'],
): TestResult => {
  const verdict = verdictOf(value, low, high);
  return { value, unit, low, high, verdict, says: words[verdict], ...(measures && { measures }) };
};

/** Particle density from ash, g/L: 1/(W_om/1550 + W_ash/2650), EN 13041. @param ash fraction of the dry mass, 0–1 */
export function particleDensityGPerL(ash: number): number {
  checkRange('ash', ash, 0, 1);
  return 1000 / ((1 - ash) / 1.55 + ash / 2.65);
}

/** Not sown above this: common practice, no source. */
const COOL_ENOUGH_C = 30;

const ecMethods: readonly EcMethod[] = ['saturated', 'displaced', 'oneToTwo', 'oneToFive'];

/** Tests that a bench can do, with the arithmetic done. Methods: common practice, no source, unless one is named. */
export const benchTests: Record<BenchTestId, BenchTest> = {
  squeeze: {
    id: 'squeeze',
    name: 'Squeeze',
    howTo: 'Press a handful hard, open the hand, poke it. Choose what it did.',
    fields: [field('grade', 'What it did', '', 0, squeezes.length - 1)],
    compute: ({ grade }, { targetSaturation }) => {
      const at = Math.round(grade!);
      const low = at === 0 ? 0 : squeezes[at - 1]!.upTo;
      const saturation = (low + Math.min(1, squeezes[at]!.upTo)) / 2;
      const [from, to] = targetSaturation > 0.6 ? [70, 90] : [30, 50];
      return result(
        saturation * 100,
        '% of the pores full',
        from,
        to,
        {
          low: `It ${squeezeAt(saturation)}: too dry.`,
          ok: `It ${squeezeAt(saturation)}: right.`,
          high: `It ${squeezeAt(saturation)}: too wet.`,
        },
        { saturation },
      );
    },
  },
  drain: {
    id: 'drain',
    name: 'Drain',
    howTo:
      'Fill a pot, tap once, pour on a cup of water at once. Count until none stands, then until it drips below.',
    fields: [
      field('pondS', 'Water stood for', 's', 0, 3600),
      field('throughS', 'Ran through after', 's', 0, 3600),
    ],
    compute: ({ pondS, throughS }) => {
      if (throughS! < pondS! - 1)
        throw new OutOfRange('throughS', throughS, `at least the ${pondS!} s that water stood`);
      return result(pondS!, 's', null, 3, {
        low: '',
        ok: 'Goes in at once: it drains.',
        high: 'Water stands: too many fines, or dry peat that repels it. Wet it and try again before you change it.',
      });
    },
  },
  cooling: {
    id: 'cooling',
    name: 'Cooling',
    howTo:
      'Lid on, probe in the middle. Read once when the heat is off, and again half an hour or more later.',
    fields: [
      field('startC', 'First reading', '°C', 30, 100, 'thermometer'),
      field('laterC', 'Later reading', '°C', 5, 100, 'thermometer'),
      field('minutes', 'Minutes between', 'min', 1, 1440),
      field('ambientC', 'Around it', '°C', -10, 40),
    ],
    compute: ({ startC, laterC, minutes, ambientC }) => {
      const hours = minutes! / 60;
      const left = hoursUntil(coolingFrom(startC!, laterC!, hours, ambientC!), COOL_ENOUGH_C) - hours;
      return result(Math.max(0, left), `h until ${COOL_ENOUGH_C} °C`, null, null, {
        low: '',
        ok: left > 0 ? 'Sow below 30 °C, not before.' : 'Cool enough to sow.',
        high: '',
      });
    },
  },
  air: {
    id: 'air',
    name: 'Air, by filling and draining',
    howTo:
      'Plug the holes of your pot, fill it with moist mix, and let water in slowly to the brim. Wait an hour, top up. Pull the plug over a bowl and weigh what runs out in an hour.',
    fields: [
      field('volumeMl', 'The pot holds', 'mL', 20, 20_000),
      field('drainedMl', 'Ran out', 'mL (or g)', 0, 20_000, 'scale'),
    ],
    compute: ({ volumeMl, drainedMl }, { stage }) => {
      if (drainedMl! > 0.9 * volumeMl!)
        throw new OutOfRange('drainedMl', drainedMl, `at most nine tenths of the pot, ${0.9 * volumeMl!}`);
      const airPct = (100 * drainedMl!) / volumeMl!;
      const { low, high } = stageWindows[stage].airPct;
      return result(
        airPct,
        '% air',
        low,
        high,
        {
          low: 'Too little air in this pot.',
          ok: 'Enough air.',
          high: 'Very open: it dries fast.',
        },
        { airPct },
      );
    },
  },
  fill: {
    id: 'fill',
    name: 'Fill weight',
    howTo: 'Weigh an empty vessel, fill it as you always do, strike it level, weigh again.',
    fields: [
      field('volumeMl', 'The vessel holds', 'mL', 5, 200_000),
      field('emptyG', 'Empty', 'g', 0, 50_000, 'scale'),
      field('filledG', 'Filled', 'g', 0, 500_000, 'scale'),
    ],
    compute: ({ volumeMl, emptyG, filledG }, context) => {
      if (filledG! <= emptyG!)
        throw new OutOfRange('filledG', filledG, `more than the empty vessel, ${emptyG!} g`);
      const expected = context.dryBulkDensityGPerL + 1000 * context.targetSaturation * context.totalPorosity;
      return result(((filledG! - emptyG!) * 1000) / volumeMl!, 'g/L', 0.85 * expected, 1.15 * expected, {
        low: 'Lighter than reckoned: filled loosely, or drier.',
        ok: 'As reckoned.',
        high: 'Heavier than reckoned: pressed, or wetter.',
      });
    },
  },
  moisture: {
    id: 'moisture',
    name: 'Moisture, by drying',
    howTo: 'Weigh a dish with some mix, dry it at about 100 °C until it loses no more, weigh again.',
    fields: [
      field('dishG', 'Dish', 'g', 0, 5000, 'scale'),
      field('wetG', 'Dish and moist mix', 'g', 0, 20_000, 'scale'),
      field('dryG', 'Dish and dry mix', 'g', 0, 20_000, 'scale'),
    ],
    compute: ({ dishG, wetG, dryG }, { dryBulkDensityGPerL, totalPorosity, targetSaturation }) => {
      if (dryG! <= dishG!) throw new OutOfRange('dryG', dryG, `more than the dish, ${dishG!} g`);
      if (wetG! < dryG!) throw new OutOfRange('wetG', wetG, `at least the dry weight, ${dryG!} g`);
      const perDry = (wetG! - dryG!) / (dryG! - dishG!);
      const saturation = Math.min(1.2, (perDry * dryBulkDensityGPerL) / 1000 / totalPorosity);
      const [low, high] = [targetSaturation * 100 - 15, targetSaturation * 100 + 10];
      return result(
        (100 * perDry) / (1 + perDry),
        '% water by weight',
        null,
        null,
        {
          low: '',
          ok: `Pores ${Math.round(saturation * 100)} % full; ${Math.round(low)}–${Math.round(high)} is right.`,
          high: '',
        },
        { saturation },
      );
    },
  },
  ph: {
    id: 'ph',
    name: 'pH',
    howTo:
      'One part of moist mix, two of clean water, stir, wait half an hour, read. After lime: on day 7 and 14.',
    fields: [field('ph', 'pH', '', 2.5, 11, 'pen-ph')],
    compute: ({ ph }, context) =>
      result(
        ph!,
        'pH',
        context.ph.low,
        context.ph.high,
        { low: 'Sour.', ok: 'Right.', high: 'Sweet.' },
        { ph: ph! },
      ),
  },
  ec: {
    id: 'ec',
    name: 'Salts',
    howTo:
      'Read the pen in the extract that you make, and say which: the sum turns it into the saturated extract.',
    fields: [
      field('ec', 'EC', 'mS/cm', 0, 50, 'pen-ec'),
      field('method', 'Taken by', '', 0, ecMethods.length - 1),
    ],
    compute: ({ ec, method }, { stage, totalPorosity, drainedWater }) => {
      const saturated = convertEc(ec!, ecMethods[Math.round(method!)]!, 'saturated', {
        totalPorosity,
        water: drainedWater,
      });
      const { low, high } = stageWindows[stage].ecSaturatedMSPerCm;
      return result(
        saturated,
        'mS/cm, saturated extract',
        low,
        high,
        { low: 'Lean.', ok: 'Right.', high: 'Salty.' },
        { ecSaturatedMSPerCm: saturated },
      );
    },
  },
  screen: {
    id: 'screen',
    name: 'Oversize',
    howTo: 'Put a dry sample through your screen and weigh what stays on it.',
    fields: [
      field('sampleG', 'Sample', 'g', 1, 50_000, 'scale'),
      field('overG', 'Stayed on the screen', 'g', 0, 50_000, 'scale'),
    ],
    compute: ({ sampleG, overG }) => {
      if (overG! > sampleG!) throw new OutOfRange('overG', overG, `at most the sample, ${sampleG!} g`);
      return result((100 * overG!) / sampleG!, '% oversize', null, 10, {
        low: '',
        ok: 'Little stays on: screen it and go on.',
        high: 'Much stays on: buy or use a finer grade.',
      });
    },
  },
  yield: {
    id: 'yield',
    name: 'Yield',
    howTo: 'Level the finished mix in the tub and measure its volume.',
    fields: [field('finishedL', 'Finished mix', 'L', 0.01, 1_000_000)],
    compute: ({ finishedL }, { looseLitres }) => {
      const shrinkagePct = 100 * (1 - finishedL! / looseLitres);
      if (shrinkagePct < -2 || shrinkagePct > 50)
        throw new OutOfRange(
          'finishedL',
          finishedL,
          `from ${(looseLitres / 2).toFixed(1)} to ${looseLitres.toFixed(1)} L: half to all of what was scooped`,
        );
      return result(
        Math.max(0, shrinkagePct),
        '% lost in mixing',
        null,
        null,
        { low: '', ok: 'Taken for this mix from now on, if you say so.', high: '' },
        { shrinkagePct: Math.max(0, shrinkagePct) },
      );
    },
  },
};

/**
 * Does a test's sum.
 * @throws OutOfRange naming the field, its value and what is allowed
 */
export function runBenchTest(
  id: BenchTestId,
  values: Readonly<Record<string, number>>,
  context: TestContext,
): TestResult {
  const test = benchTests[id];
  for (const f of test.fields) {
    const value = values[f.id];
    if (value === undefined) throw new OutOfRange(f.id, 'missing', `a number from ${f.low} to ${f.high}`);
    checkRange(f.id, value, f.low, f.high);
  }
  for (const name of Object.keys(values)) {
    if (!test.fields.some((f) => f.id === name))
      throw new OutOfRange(name, values[name], `one of ${test.fields.map((f) => f.id).join(', ')}`);
  }
  return test.compute(values, context);
}
