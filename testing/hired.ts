import { TestBed } from '@angular/core/testing';
import { type Calls, type Hired } from '../web/src/app/workers/calls';

/** A call that a fake worker was asked for, and its answer. */
export interface AskedFor {
  name: string;
  given: unknown[];
  answer(value: unknown): Promise<void>;
  refuse(why: Error): Promise<void>;
}

/** Stands for a worker: it remembers what it is asked, and answers when the test says so. */
export class FakeHired<Api> implements Hired<Api> {
  readonly asked: AskedFor[] = [];
  ended = false;
  readonly calls = new Proxy({} as Calls<Api>, {
    get:
      (_, name) =>
      (...given: unknown[]) =>
        new Promise((answer, refuse) => {
          this.asked.push({
            name: String(name),
            given,
            answer: (value) => settled(() => answer(value)),
            refuse: (why) => settled(() => refuse(why)),
          });
        }),
  });

  end(): void {
    this.ended = true;
  }

  /** @returns the newest call of this name */
  last(name: string): AskedFor {
    const askedFor = this.asked.filter((asked) => asked.name === name).at(-1);
    if (!askedFor)
      throw new Error(`${name} was never asked for, but ${this.asked.map((a) => a.name).join()}`);
    return askedFor;
  }
}

/** Does it, and waits until whoever waited has gone on. */
async function settled(act: () => void): Promise<void> {
  act();
  for (let i = 0; i < 20; i++) await Promise.resolve();
  TestBed.tick();
}
