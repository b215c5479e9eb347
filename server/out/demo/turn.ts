/** The part of a northern grower's year in which a demo is laid: its crops and dates are those of that part. */
export type Turn = 'spring' | 'summer' | 'autumn' | 'winter';

/** @param day YYYY-MM-DD */
export function turnOf(day: string): Turn {
  const date = day.slice(5);
  if (date >= '02-01' && date < '06-01') return 'spring';
  if (date >= '06-01' && date < '09-01') return 'summer';
  return date >= '09-01' && date < '11-16' ? 'autumn' : 'winter';
}

/** What something is in each part of the year; where nothing is said, what it is in spring. */
export type ByTurn<T> = { spring: T } & Partial<Record<Turn, T>>;

export const inTurn = <T>(of: ByTurn<T>, turn: Turn): T => of[turn] ?? of.spring;
