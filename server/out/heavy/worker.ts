import { type PoolJob, type PoolOutcome } from '#server/base/heavy/pool';
import { OutOfRange } from '#core/units/check';
import { tasks } from '#server/out/heavy/tasks';

const codeOf = (error: unknown): string | null => {
  const { code } = (error ?? {}) as { code?: unknown };
  return typeof code === 'string' ? code : null;
};

/** Does one job in this thread. */
export default async function work({ name, input }: PoolJob): Promise<PoolOutcome> {
  const task = tasks[name as keyof typeof tasks] as (input: unknown) => Promise<unknown>;
  try {
    return { done: await task(input) };
  } catch (error) {
    return {
      failed: error instanceof Error ? error.message : String(error),
      code: codeOf(error),
      range:
        error instanceof OutOfRange
          ? { argument: error.argument, value: error.value, allowed: error.allowed }
          : null,
    };
  }
}
