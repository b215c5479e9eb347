import { type LearnedAnswer, type LotTestGiven } from '#contract/lots';
import { type Asked } from '../ui/fields/number-list';
import { materialTests as texts } from '#words/en/places/shelf/material-tests';
import { common } from '#words/en/places/common';

export type TestId = LotTestGiven['test'];
export type Figure =
  | 'litres'
  | 'kg'
  | 'wetG'
  | 'dryG'
  | 'drainedMl'
  | 'ph'
  | 'ec'
  | 'gPerL'
  | 'phBefore'
  | 'phAfter'
  | 'mm'
  | 'overPct'
  | 'largestMm'
  | 'falls';

export interface TestFields {
  id: TestId;
  name: string;
  howTo: string;
  asked: Asked<Figure>[];
  chooses?: 'method' | 'vessel' | 'lime';
}
export const testForms: TestFields[] = [
  {
    ...{
      id: 'weigh',
      name: common.weight,
      howTo: texts.fillAMeasureLooseStrike,
    },
    asked: [
      {
        name: 'litres',
        label: texts.theMeasureHolds,
        unit: 'measureL',
        within: 'measureLitres',
      },
      { name: 'kg', label: texts.itWeighs, unit: 'kg', within: 'packageKg' },
    ],
  },
  {
    ...{
      id: 'dry',
      name: texts.moisture,
      howTo: texts.weighASampleDryIt,
    },
    asked: [
      { name: 'wetG', label: texts.wet, unit: 'g', within: 'sampleG' },
      { name: 'dryG', label: texts.dry, unit: 'g', within: 'sampleG' },
    ],
  },
  {
    ...{ id: 'drain', name: texts.soakAndDrain, chooses: 'vessel' },
    howTo: texts.plugAVesselFillIt,
    asked: [{ name: 'drainedMl', label: texts.ranOutOfOne, unit: 'mL', within: [0, 1_000_000] }],
  },
  {
    ...{
      id: 'ph',
      name: 'pH',
      howTo: texts.shakeWithDistilledWaterWait,
      chooses: 'method',
    },
    asked: [{ name: 'ph', label: 'pH', within: 'measuredPh' }],
  },
  {
    ...{
      id: 'ec',
      name: texts.salts,
      howTo: texts.shakeWithDistilledWaterWait,
      chooses: 'method',
    },
    asked: [{ name: 'ec', label: 'EC, mS/cm', within: 'measuredEcMSPerCm' }],
  },
  {
    ...{ id: 'jar', name: texts.limeInAJar, chooses: 'lime' },
    howTo: texts.mixLimeIntoAMoist,
    asked: [
      { name: 'gPerL', label: texts.limeGiven, unit: 'g/L', within: 'doseGPerL' },
      { name: 'phBefore', label: texts.phBefore, within: 'measuredPh' },
      { name: 'phAfter', label: texts.phAfter, within: 'measuredPh' },
    ],
  },
  {
    ...{
      id: 'screen',
      name: texts.screen,
      howTo: texts.putADrySampleThrough,
    },
    asked: [
      { name: 'mm', label: texts.theScreen, unit: 'mm', within: 'screenedMm' },
      { name: 'overPct', label: texts.staysOnIt, within: 'pctOfParts' },
      { name: 'largestMm', label: texts.largestPiece, unit: 'mm', within: [0.5, 500] },
    ],
  },
  {
    ...{ id: 'falls', name: texts.blockFalls },
    howTo: texts.pressABlockOfIt,
    asked: [{ name: 'falls', label: texts.fallsThatItOutlived, within: 'blockFalls', whole: true }],
  },
];

export const figureNames: Record<LearnedAnswer['figures'][number]['figure'], string> = {
  density: texts.weightDry,
  moisture: texts.moisture,
  air: texts.airDrained,
  ph: 'pH',
  salts: texts.salts,
  buffer: texts.answerToLime,
  size: texts.usualBit,
  cohesion: texts.holdsTogether,
};
