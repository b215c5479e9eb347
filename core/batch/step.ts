import { type BenchTestId } from '#core/batch/tests/bench-tests';
import { type StepMessage } from '#core/batch/step-facts';
import { type Text } from '#core/units/message';

/** One thing to do, why it is done so, and what to mind. */
export interface Step {
  id: string;
  text: Text<StepMessage>;
  why?: Text<StepMessage>;
  caution?: Text<StepMessage>;
  /** Ticked so many times: once for each load. */
  times?: number;
  /** Time matters: minutes on the clock. */
  timerMin?: number;
  /** Days until it is due, counted from the day of mixing; or until the mix is ready. */
  waitDays?: number;
  /** A test at the bench that goes with it. */
  test?: BenchTestId;
}
