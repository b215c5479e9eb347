import { COOL_ENOUGH_C } from '#core/batch/tests/cooling';
import { type TestFacts } from '#core/batch/test-facts';
import { type TestResult } from '#core/batch/tests/bench-test';
import { type Verdict } from '#core/judge/readings';
import { squeezeAt } from '#core/mix/moisture';
import { fixed } from '#core/units/show';
import { type Words } from '#words/catalog';

const squeeze = {
  'squeeze.dusty': () => 'dusty',
  'squeeze.crumbles': () => 'crumbles',
  'squeeze.clump': () => 'holds a clump and crumbs open',
  'squeeze.beads': () => 'holds and beads',
  'squeeze.oozes': () => 'oozes between the fingers',
  'squeeze.slurry': () => 'slurry',
} as const;
const moist = { low: 'too dry', ok: 'right', high: 'too wet' } as const;

/** What never cools has the warmth around it; entries of before say so in its unit. */
const isWarmth = (unit: string): boolean => unit.startsWith('°C');

/** One sentence for each verdict. */
const by =
  (words: Record<Verdict, string>) =>
  ({ verdict }: TestResult): string =>
    words[verdict];

export const tests: Words<TestFacts> = {
  ...squeeze,
  'test.squeeze.name': () => 'Squeeze',
  'test.squeeze.how': () => 'Press a handful hard, open the hand, poke it. Choose what it did.',
  'test.squeeze.grade': () => 'What it did',
  'test.squeeze.value': ({ value }, f) => `${f.pct(value)} of the pores full`,
  'test.squeeze.says': ({ value, verdict }) =>
    `It ${squeeze[`squeeze.${squeezeAt(value / 100)}`]()}: ${moist[verdict]}.`,

  'test.drain.name': () => 'Drain',
  'test.drain.how': () =>
    'Fill a pot, tap once, pour on a cup of water at once. Count until none stands, then until it drips below.',
  'test.drain.pondS': () => 'Water stood for',
  'test.drain.throughS': () => 'Ran through after',
  'test.drain.value': ({ value }) => `${fixed(value, 0)} s`,
  'test.drain.says': by({
    low: 'Goes in at once: it drains.',
    ok: 'Goes in at once: it drains.',
    high: 'Water stands: too many fines, or dry peat that repels it. Wet it and try again before you change it.',
  }),

  'test.cooling.name': () => 'Cooling',
  'test.cooling.how': () =>
    'Lid on, probe in the middle. Read once when the heat is off, and again half an hour or more later.',
  'test.cooling.startC': () => 'First reading',
  'test.cooling.laterC': () => 'Later reading',
  'test.cooling.minutes': () => 'Minutes between',
  'test.cooling.ambientC': () => 'Around it',
  'test.cooling.value': ({ value, unit }, f) =>
    isWarmth(unit)
      ? `${f.celsius(value)} around it`
      : `${fixed(value, value < 10 ? 1 : 0)} h until ${f.celsius(COOL_ENOUGH_C)}`,
  'test.cooling.says': ({ value, unit }, f) => {
    const cool = f.celsius(COOL_ENOUGH_C);
    if (isWarmth(unit))
      return `It never cools to ${cool} where it is: carry it somewhere cooler, or spread it out thin.`;
    return value > 0 ? `Sow below ${cool}, not before.` : 'Cool enough to sow.';
  },

  'test.air.name': () => 'Air, by filling and draining',
  'test.air.how': () =>
    'Plug the holes of your pot, fill it with moist mix, let water in slowly to the brim; wait an hour, top up. Pull the plug over a bowl and weigh what runs out in an hour.',
  'test.air.volumeMl': () => 'The pot holds',
  'test.air.drainedMl': () => 'Ran out',
  'test.air.value': ({ value }, f) => `${f.pct(value)} air`,
  'test.air.says': by({
    low: 'Too little air in this pot.',
    ok: 'Enough air.',
    high: 'Very open: it dries fast.',
  }),

  'test.fill.name': () => 'Fill weight',
  'test.fill.how': () => 'Weigh an empty vessel, fill it as you always do, strike it level, weigh again.',
  'test.fill.volumeMl': () => 'The vessel holds',
  'test.fill.emptyG': () => 'Empty',
  'test.fill.filledG': () => 'Filled',
  'test.fill.value': ({ value }, f) => f.density(value),
  'test.fill.says': by({
    low: 'Lighter than expected: filled loosely, or drier.',
    ok: 'As expected.',
    high: 'Heavier than expected: pressed, or wetter.',
  }),

  'test.moisture.name': () => 'Moisture, by drying',
  'test.moisture.how': (_, f) =>
    `Weigh a dish with some mix, dry it at about ${f.celsius(100)}. Weigh again once it loses no more.`,
  'test.moisture.dishG': () => 'Dish',
  'test.moisture.wetG': () => 'Dish and moist mix',
  'test.moisture.dryG': () => 'Dish and dry mix',
  'test.moisture.value': ({ value }, f) => `${f.pct(value)} water by weight`,
  'test.moisture.says': ({ measures, poresPct }, f) => {
    const full = `Pores ${f.pct(100 * (measures?.saturation ?? 0))} full`;
    return poresPct ? `${full}; ${fixed(poresPct.low, 0)}–${f.pct(poresPct.high)} is right.` : `${full}.`;
  },

  'test.ph.name': () => 'pH',
  'test.ph.how': () =>
    'One part of moist mix, two of clean water, stir, wait half an hour, read. After lime: on day 7 and 14.',
  'test.ph.ph': () => 'pH',
  'test.ph.value': ({ value, low, verdict, high }, f) =>
    f.ph(value, (verdict === 'low' ? low : high) ?? undefined),
  'test.ph.says': by({ low: 'Too acid.', ok: 'Right.', high: 'Too alkaline.' }),

  'test.ec.name': () => 'Salts',
  'test.ec.how': () => 'Read the pen in the extract that you make, and say which it is.',
  'test.ec.ec': () => 'EC',
  'test.ec.method': () => 'Taken by',
  'test.ec.value': ({ value }, f) => `${f.ec(value)}, saturated extract`,
  'test.ec.says': by({ low: 'Low in salts.', ok: 'Right.', high: 'Too salty.' }),

  'test.screen.name': () => 'Oversize',
  'test.screen.how': () => 'Put a dry sample through your screen and weigh what stays on it.',
  'test.screen.sampleG': () => 'Sample',
  'test.screen.overG': () => 'Stayed on the screen',
  'test.screen.value': ({ value }, f) => `${f.pct(value)} oversize`,
  'test.screen.says': by({
    low: 'Little stays on: screen it and go on.',
    ok: 'Little stays on: screen it and go on.',
    high: 'Much stays on: buy or use a finer grade.',
  }),

  'test.yield.name': () => 'Yield',
  'test.yield.how': () => 'Level the finished mix in the tub and measure its volume.',
  'test.yield.finishedL': () => 'Finished mix',
  'test.yield.value': ({ value }, f) => `${f.pct(value)} lost in mixing`,
  'test.yield.says': () => 'This mix uses it from now on, if you save it.',
};
