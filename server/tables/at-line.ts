import { z } from 'zod';

/** @throws RangeError with the line of the file before what was wrong in it */
export function atLine<T>(line: number, act: () => T): T {
  try {
    return act();
  } catch (error) {
    const first = error instanceof z.ZodError ? error.issues[0]! : null;
    const says = first ? `${first.path.join('.')}: ${first.message}` : (error as Error).message;
    throw new RangeError(`line ${line}: ${says}`, { cause: error });
  }
}
