import { parentPort } from 'node:worker_threads';
import { OutOfRange } from '#core/units/check';
import { tasks } from '#server/heavy/tasks';
import { type FromWorker, type ToWorker } from '#server/heavy/workers';

const codeOf = (error: unknown): string | null => {
  const { code } = (error ?? {}) as { code?: unknown };
  return typeof code === 'string' ? code : null;
};

const port = parentPort!;
let stopped = false;

port.on('message', (told: ToWorker) => {
  if (told.kind === 'stop') {
    stopped = true;
    return;
  }
  stopped = false;
  const task = tasks[told.name] as (input: unknown, stopped: () => boolean) => Promise<unknown>;
  task(told.input, () => stopped).then(
    (output) => port.postMessage({ kind: 'done', output } satisfies FromWorker),
    (error: unknown) =>
      port.postMessage({
        kind: 'failed',
        message: error instanceof Error ? error.message : String(error),
        code: codeOf(error),
        range:
          error instanceof OutOfRange
            ? { argument: error.argument, value: error.value, allowed: error.allowed }
            : null,
      } satisfies FromWorker),
  );
});
