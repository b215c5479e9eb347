import { join } from 'node:path';
import { Pool } from '#server/base/heavy/pool';
import { Problem } from '#server/base/http/problem';

// A type, and no interface: only a type has names of every kind.
// eslint-disable-next-line @typescript-eslint/consistent-type-definitions
type Waiting = { wait: (input: { ms: number }) => Promise<number> };
const FOR_GOOD = 3_600_000;

test('who hangs up is forgotten: sixteen that wait no longer keep a live one out, and two that ran make room', async () => {
  const pool = new Pool<Waiting>(join(process.cwd(), 'testing', 'slow-worker.mjs'));
  try {
    const callers = Array.from({ length: 18 }, () => new AbortController());
    const hungUp = callers.map(({ signal }) => pool.run('wait', { ms: FOR_GOOD }, signal));
    const ends = Promise.allSettled(hungUp);
    // Two run and sixteen wait: one more is asked to come again.
    await expect(pool.run('wait', { ms: 1 })).rejects.toThrow(Problem);
    for (const caller of callers) caller.abort();
    expect((await ends).map(({ status }) => status)).toEqual(Array(18).fill('rejected'));
    expect(await pool.run('wait', { ms: 5 })).toBe(5);
  } finally {
    await pool.close();
  }
});
