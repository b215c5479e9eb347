/** So many days, weeks and months back one backup each is kept. */
export const KEPT = { days: 7, weeks: 5, months: 12 } as const;

/** Week of a day, as a number that grows by one on Mondays. */
const weekOf = (at: Date): number => Math.floor((at.getTime() / 86_400_000 + 3) / 7);

/**
 * Which backups are kept: the newest of each of the last seven days that have one, of the last five weeks and the last
 * twelve months. The newest of all always is.
 * @param made moments of the backups
 * @returns those that are kept, newest first
 */
export function kept(made: readonly Date[]): Date[] {
  const newest = [...made].sort((a, b) => b.getTime() - a.getTime());
  const keep = new Set<Date>(newest.slice(0, 1));
  const spans: [number, (at: Date) => string | number][] = [
    [KEPT.days, (at) => at.toISOString().slice(0, 10)],
    [KEPT.weeks, weekOf],
    [KEPT.months, (at) => at.toISOString().slice(0, 7)],
  ];
  for (const [most, spanOf] of spans) {
    const seen = new Set<string | number>();
    for (const at of newest) {
      if (seen.has(spanOf(at))) continue;
      if (seen.size === most) break;
      seen.add(spanOf(at));
      keep.add(at);
    }
  }
  return newest.filter((at) => keep.has(at));
}
