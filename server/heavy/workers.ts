import { Worker } from 'node:worker_threads';
import { OutOfRange } from '#core/units/check';
import { Problem } from '#server/http/problem';
import { type TaskInput, type TaskName, type TaskOutput } from '#server/heavy/tasks';

export type ToWorker = { kind: 'do'; name: TaskName; input: unknown } | { kind: 'stop' };
export type FromWorker =
  | { kind: 'done'; output: unknown }
  | {
      kind: 'failed';
      message: string;
      range: { argument: string; value: unknown; allowed: string } | null;
      /** Of the system or the database. */
      code: string | null;
    };

/** Where long work is done. */
export interface Heavy {
  /**
   * @param signal raised when nobody waits for it any more
   * @throws Problem 429 when too much waits already
   */
  run<K extends TaskName>(name: K, input: TaskInput<K>, signal?: AbortSignal): Promise<TaskOutput<K>>;
}

interface Job {
  name: TaskName;
  input: unknown;
  signal: AbortSignal | undefined;
  done: (output: unknown) => void;
  failed: (error: unknown) => void;
}

/** How many threads, and how many may wait for one. */
const THREADS = 2;
const MOST_WAITING = 16;

/** A few threads beside the server's own, started when they are needed; what comes meanwhile waits its turn. */
export class Workers implements Heavy {
  private readonly idle: Worker[] = [];
  private readonly waiting: Job[] = [];
  private threads = 0;

  run<K extends TaskName>(name: K, input: TaskInput<K>, signal?: AbortSignal): Promise<TaskOutput<K>> {
    return new Promise<unknown>((done, failed) => {
      if (this.waiting.length >= MOST_WAITING)
        throw new Problem(
          429,
          'Too much at once',
          `${THREADS} long jobs are under way and ${MOST_WAITING} wait: try again in a few seconds`,
          [],
        );
      this.waiting.push({ name, input, signal, done, failed });
      this.next();
    }) as Promise<TaskOutput<K>>;
  }

  private next(): void {
    const job = this.waiting.find(({ signal }) => !signal?.aborted);
    if (!job) {
      for (const left of this.waiting.splice(0)) left.failed(new Error('nobody waits for it'));
      return;
    }
    const worker = this.idle.pop() ?? (this.threads < THREADS ? this.start() : undefined);
    if (!worker) return;
    this.waiting.splice(this.waiting.indexOf(job), 1);
    const stop = (): void => worker.postMessage({ kind: 'stop' } satisfies ToWorker);
    const settle = (act: () => void): void => {
      job.signal?.removeEventListener('abort', stop);
      worker.off('message', hear).off('error', fail);
      act();
      this.next();
    };
    const hear = (told: FromWorker): void => {
      this.idle.push(worker);
      settle(() => {
        if (told.kind === 'done') job.done(told.output);
        else if (told.range)
          job.failed(new OutOfRange(told.range.argument, told.range.value, told.range.allowed));
        else job.failed(Object.assign(new Error(told.message), told.code !== null && { code: told.code }));
      });
    };
    const fail = (error: Error): void => {
      this.threads--;
      settle(() => job.failed(error));
    };
    worker.on('message', hear).on('error', fail);
    job.signal?.addEventListener('abort', stop);
    worker.postMessage({ kind: 'do', name: job.name, input: job.input } satisfies ToWorker);
  }

  private start(): Worker {
    this.threads++;
    // Beside the bundled server lies a bundled worker; beside the source one that first learns TypeScript.
    const bundled = import.meta.url.endsWith('.mjs');
    const worker = new Worker(new URL(bundled ? './worker.mjs' : './start-worker.mjs', import.meta.url));
    // The server may end while it idles.
    worker.unref();
    return worker;
  }
}
