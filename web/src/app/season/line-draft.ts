import { type LineGiven, type SeasonLine } from '../data/season';

/** A line as it is sent: without its number. */
export const lineGiven = ({ id: _, ...line }: SeasonLine): LineGiven => line;

/** A line that nobody has filled in yet. */
export const newLine = (crop: string): SeasonLine => ({
  ...{ id: 0, crop, name: '', plants: 100, plantOn: null, offsetDays: null, count: 1, everyDays: 14 },
  ...{
    sparePct: 10,
    confidence: 0.9,
    germination: null,
    seedTest: null,
    seedYear: null,
    perCell: null,
    steps: null,
  },
  ...{ shifts: [], note: '' },
});
