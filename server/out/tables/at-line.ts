import { z } from 'zod';
import { RowProblem } from '#contract/csv';
import { OutOfRange } from '#core/units/check';
import { Problem } from '#server/base/http/problem';

/** @throws RowProblem with the line of the file before what was wrong in it */
export function atLine<T>(line: number, act: () => T): T {
  try {
    return act();
  } catch (error) {
    const first = error instanceof z.ZodError ? error.issues[0]! : null;
    const isOfRow = error instanceof OutOfRange || error instanceof RowProblem || error instanceof Problem;
    if (!first && !isOfRow) throw error;
    const says = first ? `${first.path.join('.')}: ${first.message}` : (error as Error).message;
    throw new RowProblem(`line ${line}: ${says}`, { cause: error });
  }
}
