import { z } from 'zod';
import { RowProblem } from '#contract/csv';
import { OutOfRange } from '#core/units/check';
import { refusedByName } from '#words/problem';
import { problemSaid } from '#words/problem-said';
import { type Reader } from '#words/reader';
import { Problem } from '#server/base/http/problem';

const READER: Reader = { language: 'en', units: 'metric' };

/** A table is written in metric units and by the names of its columns: so is what is wrong in it. */
function saysOf(error: unknown): string {
  if (error instanceof OutOfRange) return refusedByName(error, READER);
  return error instanceof Problem ? problemSaid(error.says, READER).detail : (error as Error).message;
}

/** @throws RowProblem with the line of the file before what was wrong in it */
export function atLine<T>(line: number, act: () => T): T {
  try {
    return act();
  } catch (error) {
    const first = error instanceof z.ZodError ? error.issues[0]! : null;
    const isOfRow = error instanceof OutOfRange || error instanceof RowProblem || error instanceof Problem;
    if (!first && !isOfRow) throw error;
    const says = first ? `${first.path.join('.')}: ${first.message}` : saysOf(error);
    throw new RowProblem(`line ${line}: ${says}`, { cause: error });
  }
}
