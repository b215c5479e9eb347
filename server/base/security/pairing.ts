import { randomInt, timingSafeEqual } from 'node:crypto';

/** No letters and digits that a hand takes for each other. */
const SIGNS = 'ABCDEFGHJKMNPQRSTVWXYZ23456789';
const LENGTH = 10;
const LIFE_MS = 10 * 60_000;

/**
 * One code at a time, for one device, for ten minutes. 30¹⁰ are possible, and tries are limited by address: a stranger's
 * wrong ones do not void it.
 */
export class Pairing {
  private code: { text: string; until: number } | null = null;

  constructor(private readonly now: () => Date) {}

  make(): void {
    const text = Array.from({ length: LENGTH }, () => SIGNS[randomInt(SIGNS.length)]).join('');
    this.code = { text, until: this.now().getTime() + LIFE_MS };
  }

  /** The code that waits; null for none. */
  get waiting(): { text: string; until: string } | null {
    if (this.code && this.code.until <= this.now().getTime()) this.code = null;
    return this.code && { text: this.code.text, until: new Date(this.code.until).toISOString() };
  }

  /** @returns whether it is the one; it is used up then */
  take(given: string): boolean {
    if (!this.waiting || !this.code) return false;
    const clean = given
      .toUpperCase()
      .replace(/[^A-Z0-9]/g, '')
      .padEnd(LENGTH)
      .slice(0, LENGTH);
    const right = timingSafeEqual(Buffer.from(clean), Buffer.from(this.code.text));
    if (right) this.code = null;
    return right;
  }
}
