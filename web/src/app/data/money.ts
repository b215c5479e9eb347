import { Injectable } from '@angular/core';
import { moneySaid } from '#core/units/money';
import { kept } from './kept';

/** The sign that stands before money: a choice of this device. */
@Injectable({ providedIn: 'root' })
export class Money {
  private readonly chosen = kept<string>('money', '', (stored) =>
    typeof stored === 'string' && stored.length <= 4 ? stored : undefined,
  );
  readonly sign = this.chosen.value;

  use(sign: string): void {
    this.chosen.set(sign.trim().slice(0, 4));
  }

  /** With the sign, to cents; a tenth of a cent where it is less than ten. */
  say(amount: number): string {
    return moneySaid(amount, this.sign());
  }
}
