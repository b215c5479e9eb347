/** Dawn of 4 March in the test nursery's zone; at UTC it is still the day before. All tests run on that day. */
export const TODAY = new Date('2031-03-03T20:00:00Z');
export const ZONE = 'Australia/Adelaide';

/** What the machine's clock lacks to that day, ms: servers and pages of one process of tests go by the same. */
export const SHIFT_MS = TODAY.getTime() - Date.now();

export const testNow = (): Date => new Date(Date.now() + SHIFT_MS);

/** The day so many days from the day of the tests, YYYY-MM-DD at UTC, where the servers of the browser tests stand. */
export const testDay = (days = 0): string =>
  new Date(testNow().getTime() + days * 86_400_000).toISOString().slice(0, 10);

/** Sets the clock of a page. To be run in it before anything else. */
export function shiftClock(shiftMs: number): void {
  const Real = Date;
  const now = (): number => Real.now() + shiftMs;
  globalThis.Date = new Proxy(Real, {
    construct: (target, args: unknown[], made) =>
      Reflect.construct(target, args.length > 0 ? args : [now()], made) as object,
    apply: () => new Real(now()).toString(),
    get: (target, name) => (name === 'now' ? now : (Reflect.get(target, name) as unknown)),
  });
}
