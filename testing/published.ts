import { appendFileSync, mkdirSync } from 'node:fs';

/** One comparison with something outside the project. Collected for the table in docs/model.md. */
export interface Check {
  what: string;
  /** Paper, handbook or reference library; "(from memory)" where the figure was not looked up. */
  source: string;
  published: number | readonly [low: number, high: number];
  ours: number;
  unit: string;
  /** Largest allowed distance from a single figure, in the unit. Not used for a range. */
  within?: number;
}

/** Asserts a comparison and, when CHECKS_FILE is set, writes it down. */
export function published(check: Check): void {
  const { published: theirs, ours } = check;
  const file = process.env['CHECKS_FILE'];
  if (file) {
    mkdirSync('dist', { recursive: true });
    appendFileSync(file, `${JSON.stringify(check)}\n`);
  }
  if (typeof theirs === 'number') {
    expect(Math.abs(ours - theirs)).toBeLessThanOrEqual(check.within ?? 0);
  } else {
    expect(ours).toBeGreaterThanOrEqual(theirs[0]);
    expect(ours).toBeLessThanOrEqual(theirs[1]);
  }
}
