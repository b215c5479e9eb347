import { OutOfRange } from '#core/units/check';

/** What a form comes to, or why it comes to nothing, in words for the screen. */
export function attempt<T extends object | null>(make: () => T): T | { why: string } {
  try {
    return make();
  } catch (error) {
    if (error instanceof OutOfRange) return { why: error.message };
    throw error;
  }
}
