import { allow } from '#core/units/allowed';
import { airTest } from '#core/batch/tests/air';
import {
  type BenchTest,
  type TestContext,
  type TestResult,
  type TestValues,
} from '#core/batch/tests/bench-test';
import { coolingTest } from '#core/batch/tests/cooling';
import { drainTest } from '#core/batch/tests/drain';
import { ecTest } from '#core/batch/tests/ec';
import { fillTest } from '#core/batch/tests/fill';
import { moistureTest } from '#core/batch/tests/moisture';
import { phTest } from '#core/batch/tests/ph';
import { screenTest } from '#core/batch/tests/screen';
import { squeezeTest } from '#core/batch/tests/squeeze';
import { yieldTest } from '#core/batch/tests/yield';
import { checkRange, OutOfRange } from '#core/units/check';

/** Tests that a bench can do, with the arithmetic done, in the order in which they are offered. */
export const benchTests = {
  squeeze: squeezeTest,
  drain: drainTest,
  cooling: coolingTest,
  air: airTest,
  fill: fillTest,
  moisture: moistureTest,
  ph: phTest,
  ec: ecTest,
  screen: screenTest,
  yield: yieldTest,
} satisfies Record<string, BenchTest>;

export type BenchTestId = keyof typeof benchTests;
export const benchTestIds = Object.keys(benchTests) as [BenchTestId, ...BenchTestId[]];

/**
 * Does a test's sum.
 * @throws OutOfRange naming the field, its value and what is allowed
 */
export function runBenchTest(id: BenchTestId, values: TestValues, context: TestContext): TestResult {
  const test: BenchTest = benchTests[id];
  for (const field of test.fields) {
    const value = values[field.id];
    if ('choices' in field) {
      if (typeof value !== 'string' || !field.choices.includes(value))
        throw new OutOfRange(field.id, value ?? 'missing', allow('allowed.one-of', { ids: field.choices }));
    } else if (typeof value !== 'number')
      throw new OutOfRange(
        field.id,
        value ?? 'missing',
        allow('allowed.number', { low: field.low, high: field.high }),
      );
    else checkRange(field.id, value, field.low, field.high);
  }
  for (const name of Object.keys(values)) {
    if (!test.fields.some((f) => f.id === name))
      throw new OutOfRange(
        name,
        values[name],
        allow('allowed.one-of', { ids: test.fields.map((f) => f.id) }),
      );
  }
  return test.compute(values as never, context);
}
