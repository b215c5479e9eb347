import { litresIn } from '#core/units/factors';
import { type UnitSystem } from '#core/units/show';

/** With its sign, to cents; a tenth of a cent where it is less than ten. @example moneySaid(3.5, '€') // "€3.50" */
export function moneySaid(amount: number, sign: string): string {
  const places = Math.abs(amount) < 0.1 && amount !== 0 ? 3 : 2;
  return `${sign}${/^[A-Za-z]/.test(sign) ? '\u00a0' : ''}${amount.toFixed(places)}`;
}

/** What a batch cost, as page and paper say it. @param litres of finished mix */
export function costSaid(
  { money, unpriced }: { money: number; unpriced: number },
  litres: number,
  sign: string,
  units: UnitSystem,
): string {
  const [each, per] = units === 'us' ? ['gallon', litresIn.gallon] : ['litre', 1];
  const missing =
    unpriced > 0 ? `, without ${unpriced === 1 ? 'one thing' : `${unpriced} things`} that had no price` : '';
  return `Cost ${moneySaid(money, sign)}, ${moneySaid((money * per) / litres, sign)} a ${each}${missing}.`;
}
