import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { cropsFromCsv } from '#contract/crop';
import { type Crop } from '#core/season/crop';
import { type SeasonLine, type SeasonSettings } from '#core/season/line';

/** The starter crops. */
export const crops: ReadonlyMap<string, Crop> = new Map(
  cropsFromCsv(readFileSync(join('core', 'season', 'crops.csv'), 'utf8')).map(({ crop }) => [crop.id, crop]),
);

export const someSettings: SeasonSettings = {
  frost: { early: '2027-04-20', usual: '2027-05-05', late: '2027-05-20' },
  benches: [{ name: 'House', m2: 20, heated: true, lights: false }],
  soilC: 20,
  spillPct: 5,
  school: null,
};

export const aLine = (change: Partial<SeasonLine> & { crop: string }): SeasonLine => ({
  ...{ id: 1, name: '', plants: 100, plantOn: null, offsetDays: null, count: 1, everyDays: 7, sparePct: 10 },
  ...{
    confidence: 0.9,
    germination: null,
    seedTest: null,
    seedYear: null,
    perCell: null,
    steps: null,
    shifts: [],
    note: '',
  },
  ...change,
});
