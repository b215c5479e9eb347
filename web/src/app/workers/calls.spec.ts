import { allow } from '#core/units/allowed';
/** @jest-environment node */
import { type Endpoint, expose, wrap } from 'comlink';
import { MessageChannel, type MessagePort } from 'node:worker_threads';
import { OutOfRange } from '#core/units/check';
import { type Calls, Newest, Refused, refusalOf, heard, type Progress } from './calls';
import { Turns } from './turns';

/** A port of Node as the browser has it. */
const browserPort = (port: MessagePort): Endpoint => {
  const listeners = new Map<unknown, (data: unknown) => void>();
  return {
    postMessage: (message: unknown, transfer: never[] = []) => port.postMessage(message, transfer),
    addEventListener: (_: string, listener: { handleEvent?: unknown } | ((event: object) => void)) => {
      const listen = (data: unknown): void => (listener as (event: object) => void)({ data });
      listeners.set(listener, listen);
      port.on('message', listen);
    },
    removeEventListener: (_: string, listener: unknown) => {
      const listen = listeners.get(listener);
      if (listen) port.off('message', listen);
    },
    start: () => port.start(),
  } as unknown as Endpoint;
};

const turns = new Turns();
const api = {
  double: (number: number): number => {
    if (number > 9) throw new OutOfRange('number', number, allow('allowed.number', { low: 0, high: 9 }));
    return 2 * number;
  },
  broken: (): number => {
    throw new TypeError('no such sum');
  },
  async long(steps: number): Promise<number | null> {
    const wanted = turns.next();
    for (let i = 0; i < steps; i++) if (!(await wanted())) return null;
    return steps;
  },
};
type Api = typeof api;

let ends: MessagePort[];
let calls: Calls<Api>;
beforeEach(() => {
  const { port1, port2 } = new MessageChannel();
  ends = [port1, port2];
  expose(api, browserPort(port1));
  calls = wrap(browserPort(port2)) as unknown as Calls<Api>;
});
afterEach(() => ends.forEach((end) => end.close()));

test('what a worker does is called by its name, over the wire', async () => {
  expect(await calls.double(4)).toBe(8);
});

test('a refusal of the core comes over whole: it is said by its label on the page', async () => {
  const error = await calls.double(12).catch((each: unknown) => each);
  expect(error).toBeInstanceOf(Refused);
  expect(refusalOf(error)).toMatchObject({
    argument: 'number',
    value: 12,
    allowed: { say: 'allowed.number', with: { low: 0, high: 9 } },
  });
  expect(refusalOf(await calls.broken().catch((each: unknown) => each))).toBe('no such sum');
});

test('of two long calls the older comes to nothing', async () => {
  const [older, newer] = await Promise.all([calls.long(500), calls.long(5)]);
  expect([older, newer]).toEqual([null, 5]);
});

test('the page hears the newest call alone, and nothing of how far it is once it has answered', async () => {
  const newest = new Newest();
  const result: number[] = [];
  const kept: Progress[] = [];
  const answers: ((value: number) => void)[] = [];
  const ask = (): Promise<number | null> =>
    newest.call(
      (progress) => {
        kept.push(progress);
        return new Promise((answer) => answers.push(answer));
      },
      (share) => result.push(share),
    );
  const first = ask();
  const second = ask();
  kept[0]!(0.1);
  kept[1]!(0.2);
  answers[1]!(22);
  answers[0]!(11);
  expect([await first, await second]).toEqual([null, 22]);
  kept[1]!(0.9);
  expect(result).toEqual([0.2]);
  expect(heard(kept[0]!)).toBe(kept[0]);
});
