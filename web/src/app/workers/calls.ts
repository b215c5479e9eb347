import { proxy, transferHandlers, wrap } from 'comlink';
import { type Refusal } from '#core/units/check';
import { whyOf } from './why';

/** How far a long call is: 0 to 1, and where it tries things, how many it has tried. */
export type Progress = (share: number, tried?: number) => void;

/** What a worker does, as the page calls it: each answer comes later. */
export type Calls<Api> = {
  [Name in keyof Api]: Api[Name] extends (...given: infer Given) => infer Answer
    ? (...given: Given) => Promise<Awaited<Answer>>
    : never;
};

/** A worker that is called by the names of what it does. */
export interface Hired<Api> {
  calls: Calls<Api>;
  /** Ends the worker: what it was asked is never answered. */
  end(): void;
}

/** A call that was refused; `why` is plain, and is said by the label of the screen. */
export class Refused extends Error {
  constructor(readonly why: Refusal | string) {
    super(typeof why === 'string' ? why : why.argument);
  }
}

// An error of the core loses its fields on the way from a worker: they go as plain values, and are thrown again.
const thrown = transferHandlers.get('throw')!;
transferHandlers.set('throw', {
  canHandle: (value): value is { value: unknown } => thrown.canHandle(value),
  serialize: ({ value }: { value: unknown }) => [whyOf(value), []],
  deserialize: (why: Refusal | string) => {
    throw new Refused(why);
  },
});

/** @returns the worker behind its calls */
export const hire = <Api>(worker: Worker): Hired<Api> => ({
  calls: wrap(worker) as unknown as Calls<Api>,
  end: () => worker.terminate(),
});

/** A function of the page that a worker may call while it works. */
export const heard = (progress: Progress): Progress => proxy(progress);

/** @returns why a call failed: what was refused, or what the error says */
export const refusalOf = (error: unknown): Refusal | string =>
  error instanceof Refused ? error.why : whyOf(error);

/** Calls of one kind from the page: what an older one answers, or says of how far it is, is not heard. */
export class Newest {
  private asked = 0;

  /** Whatever was asked is not heard any more. */
  forget(): void {
    this.asked++;
  }

  /**
   * @param ask makes the call; what it hands to the worker as its progress is a function of the page
   * @returns the answer, or null where the worker gave up or a newer call was made meanwhile
   * @throws Refused where the newest call was refused
   */
  async call<T>(
    ask: (progress: Progress) => Promise<T | null>,
    progress: Progress = () => undefined,
  ): Promise<T | null> {
    const own = ++this.asked;
    const listen: Progress = (share, tried) => {
      if (own === this.asked) progress(share, tried);
    };
    try {
      const answer = await ask(heard(listen));
      if (own !== this.asked) return null;
      // How far it is comes by another port, and may come late.
      this.asked++;
      return answer;
    } catch (error) {
      if (own !== this.asked) return null;
      throw error;
    }
  }
}
