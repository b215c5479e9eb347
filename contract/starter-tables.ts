import { amendmentSchema } from '#contract/amendment';
import { readCsv } from '#contract/csv';
import { materialRowSchema } from '#contract/material';
import { type Amendment } from '#core/material/amendment';
import { type MaterialRow } from '#core/material/material';

/** Reads materials.csv. @throws RangeError naming line, column, value and range */
export function materialRowsFromCsv(csv: string): MaterialRow[] {
  return readCsv(csv, materialRowSchema).map(({ row }) => row);
}

/** Reads amendments.csv. @throws RangeError naming line, column, value and range */
export function amendmentsFromCsv(csv: string): Amendment[] {
  return readCsv(csv, amendmentSchema).map(({ row }) => row);
}
