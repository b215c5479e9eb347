/** A count at the bench: whole measures, a half or a quarter. */
export interface Scooped {
  whole: number;
  fraction: '' | '¼' | '½' | '¾';
  /** (scooped − wanted) / wanted. */
  error: number;
}

const FRACTIONS = [
  [0, ''],
  [1 / 4, '¼'],
  [1 / 2, '½'],
  [3 / 4, '¾'],
  [1, ''],
] as const;

/** The nearest count of a measure, with what the rounding costs. @param litres at least 0 */
export function inScoops(litres: number, scoopLitres: number): Scooped {
  const exact = litres / scoopLitres;
  const floor = Math.floor(exact);
  const [value, fraction] = FRACTIONS.reduce((best, next) =>
    Math.abs(next[0] - (exact - floor)) < Math.abs(best[0] - (exact - floor)) ? next : best,
  );
  const counted = floor + value;
  return { whole: value === 1 ? floor + 1 : floor, fraction, error: exact > 0 ? counted / exact - 1 : 0 };
}

/** "6 ½", "¼"; "under ¼" for what is too little to count. */
export function scoopText({ whole, fraction, error }: Scooped): string {
  if (!fraction) return whole === 0 && error < 0 ? 'under ¼' : String(whole);
  return whole ? `${whole} ${fraction}` : fraction;
}
