import { problem } from '#words/problem-facts';
import { type Allowed } from '#core/units/allowed';
import { Piscina } from 'piscina';
import { OutOfRange } from '#core/units/check';
import { Problem } from '#server/base/http/problem';

/** Long work by its name: what goes in and comes out can be sent to another thread. */
export type Tasks = Readonly<Record<string, (input: never) => Promise<unknown>>>;

/** Where long work is done. */
export interface HeavyTasks<T extends Tasks> {
  /**
   * @param signal raised when nobody waits for it any more: what waits is forgotten, what runs is cut off
   * @throws Problem 429 when too much waits already
   */
  run<K extends keyof T & string>(
    name: K,
    input: Parameters<T[K]>[0],
    signal?: AbortSignal,
  ): Promise<Awaited<ReturnType<T[K]>>>;
}

export interface PoolJob {
  name: string;
  input: unknown;
}

/** What a thread answers: errors lose their kind on the way, so they are told as what they are. */
export type PoolOutcome =
  | { done: unknown }
  | {
      failed: string;
      range: { argument: string; value: unknown; allowed: Allowed } | null;
      /** Of the system or the database. */
      code: string | null;
    };

/** How many threads, and how many may wait for one. */
const THREADS = 2;
const MOST_WAITING = 16;
const IDLE_MS = 60_000;

/** A few threads beside the server's own, started when they are needed; what comes meanwhile waits its turn. */
export class Pool<T extends Tasks> implements HeavyTasks<T> {
  private readonly threads: Piscina<PoolJob, PoolOutcome>;

  /** @param worker path of the module that a thread runs: its default export takes a Job and gives an Outcome */
  constructor(worker: string) {
    this.threads = new Piscina({
      ...{
        filename: worker,
        minThreads: 0,
        maxThreads: THREADS,
        maxQueue: MOST_WAITING,
        idleTimeout: IDLE_MS,
      },
    });
  }

  async run<K extends keyof T & string>(
    name: K,
    input: Parameters<T[K]>[0],
    signal?: AbortSignal,
  ): Promise<Awaited<ReturnType<T[K]>>> {
    if (this.threads.queueSize >= MOST_WAITING)
      throw new Problem(429, problem('problem.busy', { under: THREADS, waiting: MOST_WAITING }), []);
    const outcome = await this.threads.run({ name, input }, signal && { signal });
    if ('done' in outcome) return outcome.done as Awaited<ReturnType<T[K]>>;
    const { failed, range, code } = outcome;
    if (range) throw new OutOfRange(range.argument, range.value, range.allowed);
    throw Object.assign(new Error(failed), code !== null && { code });
  }

  close(): Promise<void> {
    return this.threads.destroy();
  }
}
