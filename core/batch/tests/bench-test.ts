import { type Verdict } from '#core/judge/readings';
import { type Stage } from '#core/mix/stage';
import { type AskedWindows } from '#core/mix/windows-asked';

/** Kind of instrument that can give a number. */
export type GivenBy = 'scale' | 'pen-ph' | 'pen-ec' | 'thermometer';

/** One number to be read or typed. */
export interface NumberAsked {
  id: string;
  unit: string;
  low: number;
  high: number;
  from?: GivenBy;
}

/** One of several names to be chosen. */
export interface ChoiceAsked {
  id: string;
  choices: readonly string[];
}

export type TestField = NumberAsked | ChoiceAsked;
export type TestValues = Readonly<Record<string, number | string>>;

/** Taken over into the recipe or the correction, where it means something there. */
export interface Measures {
  airPct?: number;
  ph?: number;
  ecSaturatedMSPerCm?: number;
  saturation?: number;
  shrinkagePct?: number;
}

export interface TestResult {
  /** What it comes to, in its unit: %, pH, mS/cm (saturated extract), s, h, °C, g/L. */
  value: number;
  unit: string;
  low: number | null;
  high: number | null;
  verdict: Verdict;
  measures?: Measures;
  /** How full the pores should be, percent, where the value is of something else. */
  poresPct?: { low: number; high: number };
}

/** What a test is judged against: the batch as it was made. Fractions. */
export interface TestContext {
  stage: Stage;
  /** What was asked otherwise than the stage does. */
  windows?: AskedWindows;
  ph: { low: number; high: number };
  totalPorosity: number;
  drainedWater: number;
  dryBulkDensityGPerL: number;
  /** Saturation the batch is mixed to. */
  targetSaturation: number;
  looseLitres: number;
}

type ValuesOf<F extends readonly TestField[]> = {
  [One in F[number] as One['id']]: One extends { choices: readonly (infer Name)[] } ? Name : number;
};

/** A test that a bench can do: what is asked, and the sum. Methods: common practice, no source, unless one is named. */
export interface BenchTest<F extends readonly TestField[] = readonly TestField[]> {
  fields: F;
  compute: (values: never, context: TestContext) => TestResult;
}

/** Ties the sum to what is asked: a value that no field gives does not compile. */
export function benchTest<const F extends readonly TestField[]>(test: {
  fields: F;
  compute: (values: ValuesOf<F>, context: TestContext) => TestResult;
}): BenchTest<F> {
  return test;
}

export const number = <const Id extends string>(
  id: Id,
  unit: string,
  low: number,
  high: number,
  from?: GivenBy,
): NumberAsked & { id: Id } => ({ id, unit, low, high, ...(from && { from }) });

const verdictOf = (value: number, low: number | null, high: number | null): Verdict =>
  low !== null && value < low - 1e-9 ? 'low' : high !== null && value > high + 1e-9 ? 'high' : 'ok';

export function result(
  value: number,
  unit: string,
  [low, high]: readonly [number | null, number | null],
  measures?: Measures,
): TestResult {
  return { value, unit, low, high, verdict: verdictOf(value, low, high), ...(measures && { measures }) };
}

/** For a test that only tells. */
export const tells = (value: number, unit: string, measures?: Measures): TestResult =>
  result(value, unit, [null, null], measures);
