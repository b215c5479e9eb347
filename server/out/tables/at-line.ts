import { z } from 'zod';
import { RowProblem } from '#contract/csv';
import { allowedBy } from '#contract/fields';
import { OutOfRange } from '#core/units/check';
import { type RowFacts } from '#core/units/row';
import { problem } from '#words/problem-facts';
import { Problem } from '#server/base/http/problem';

/** What is wrong with a row, by the name of its column; null for what is no fault of a row. */
function faultOf(error: unknown): RowFacts | null {
  if (error instanceof RowProblem) return error.row;
  if (error instanceof OutOfRange)
    return { line: null, column: error.argument, allowed: error.allowed, was: error.value };
  const [first] = error instanceof z.ZodError ? error.issues : [];
  if (first) return { line: null, column: first.path.join('.'), allowed: allowedBy(first) };
  return null;
}

/** @throws RowProblem with the line of the file before what was wrong in it */
export function atLine<T>(line: number, act: () => T): T {
  try {
    return act();
  } catch (error) {
    const fault = faultOf(error);
    if (fault) throw new RowProblem({ ...fault, line }, { cause: error });
    // What is not there or is refused for another reason says so itself, at this line.
    if (error instanceof Problem)
      throw new Problem(400, problem('problem.at-line', { line, says: error.says }));
    throw error;
  }
}
