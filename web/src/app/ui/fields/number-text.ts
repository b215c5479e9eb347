/** Where a number may lie. */
export interface Bounds {
  min: number;
  max: number;
  whole?: boolean;
}

/** A number as people type it, with a point or a comma; undefined for nothing, NaN for what is no number. */
export const readNumber = (text: string): number | undefined =>
  text.trim() === '' ? undefined : Number(text.trim().replace(',', '.'));

/** What is wrong with a number in a field, in words; empty where nothing is. */
export function numberProblem(label: string, number: number, { min, max, whole = false }: Bounds): string {
  if (number >= min && number <= max && (!whole || Number.isInteger(number))) return '';
  return `${label}: must be ${whole ? 'a whole number' : 'a number'} from ${min} to ${max}`;
}
