import { OutOfRange, type Refusal } from '#core/units/check';

/** Why a sum came to nothing, plain, so that it goes from a worker to the page: there it is said by its label. */
export function whyOf(error: unknown): Refusal | string {
  if (error instanceof OutOfRange) {
    const { argument, value, allowed } = error;
    return { argument, allowed, value: typeof value === 'object' ? JSON.stringify(value) : value };
  }
  return error instanceof Error ? error.message : String(error);
}
