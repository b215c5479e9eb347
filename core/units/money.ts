import { messages } from '#core/units/message';

/** With its sign, to cents; a tenth of a cent where it is less than ten. @example moneySaid(-3.5, '€') // "−€3.50" */
export function moneySaid(amount: number, sign: string): string {
  const places = Math.abs(amount) < 0.1 && amount !== 0 ? 3 : 2;
  const least = amount < 0 ? '−' : '';
  return `${least}${sign}${/^[A-Za-z]/.test(sign) ? '\u00a0' : ''}${Math.abs(amount).toFixed(places)}`;
}

/** What a batch cost in all, and a litre of it, in the nursery's money; things without a price are not in it. */
export interface CostFacts {
  'cost.batch': { money: number; litres: number; unpriced: number; sign: string };
}
export const costSays = messages<CostFacts>();
