import { randomInt, timingSafeEqual } from 'node:crypto';

/** No letters and digits that a hand takes for each other. */
const SIGNS = 'ABCDEFGHJKMNPQRSTVWXYZ23456789';
const LENGTH = 8;
const LIFE_MS = 10 * 60_000;
/** Wrong ones that a code bears before it is void. */
const TRIES = 5;

/** One code at a time, for one device, for ten minutes and five wrong tries. 30⁸ are possible. */
export class Pairing {
  private code: { text: string; until: number; wrong: number } | null = null;

  constructor(private readonly now: () => Date) {}

  make(): void {
    const text = Array.from({ length: LENGTH }, () => SIGNS[randomInt(SIGNS.length)]).join('');
    this.code = { text, until: this.now().getTime() + LIFE_MS, wrong: 0 };
  }

  /** The code that waits; null for none. */
  get waiting(): { text: string; until: string } | null {
    if (this.code && this.code.until <= this.now().getTime()) this.code = null;
    return this.code && { text: this.code.text, until: new Date(this.code.until).toISOString() };
  }

  /** @returns whether it is the one; it is used up then, and void after too many wrong ones */
  take(given: string): boolean {
    if (!this.waiting || !this.code) return false;
    const clean = given
      .toUpperCase()
      .replace(/[^A-Z0-9]/g, '')
      .padEnd(LENGTH)
      .slice(0, LENGTH);
    const right = timingSafeEqual(Buffer.from(clean), Buffer.from(this.code.text));
    if (right || ++this.code.wrong >= TRIES) this.code = null;
    return right;
  }
}
