import { type TestResult } from '#core/batch/tests/bench-test';
import { type BenchTestId, type benchTests } from '#core/batch/tests/bench-tests';
import { type Squeeze } from '#core/mix/moisture';
import { type None } from '#core/units/message';

type FieldId<Id extends BenchTestId> = (typeof benchTests)[Id]['fields'][number]['id'];
/** The labels of what a test asks. */
export type FieldCode = { [Id in BenchTestId]: `test.${Id}.${FieldId<Id>}` }[BenchTestId];

/** What tests of a batch are about: what each is and asks, what it came to, and what that means. */
export type TestFacts = Record<`test.${BenchTestId}.${'name' | 'how'}` | FieldCode, None> &
  Record<`test.${BenchTestId}.${'value' | 'says'}`, TestResult> &
  Record<`squeeze.${Squeeze}`, None>;
