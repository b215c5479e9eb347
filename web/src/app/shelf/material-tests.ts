import { type LearnedAnswer, type LotTestGiven } from '#contract/lots';
import { type Asked } from '../ui/fields/number-list';

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

export interface TestForm {
  id: TestId;
  name: string;
  howTo: string;
  asked: Asked<Figure>[];
  chooses?: 'method' | 'vessel' | 'lime';
}
export const testForms: TestForm[] = [
  {
    ...{
      id: 'weigh',
      name: 'Weight',
      howTo: 'Fill a measure loose, strike it off level, weigh what is in it.',
    },
    asked: [
      { name: 'litres', label: 'The measure holds', unit: 'L of a measure', within: 'measureLitres' },
      { name: 'kg', label: 'It weighs', unit: 'kg', within: 'packageKg' },
    ],
  },
  {
    ...{
      id: 'dry',
      name: 'Moisture',
      howTo: 'Weigh a sample, dry it in a low oven until it loses no more, weigh again.',
    },
    asked: [
      { name: 'wetG', label: 'Wet', unit: 'g', within: 'sampleG' },
      { name: 'dryG', label: 'Dry', unit: 'g', within: 'sampleG' },
    ],
  },
  {
    ...{ id: 'drain', name: 'Soak and drain', chooses: 'vessel' },
    howTo:
      'Plug a vessel, fill it, let water in slowly to the brim, wait an hour, top up, pull the plug, catch what runs out.',
    asked: [{ name: 'drainedMl', label: 'Ran out of one', unit: 'mL', within: [0, 1_000_000] }],
  },
  {
    ...{
      id: 'ph',
      name: 'pH',
      howTo: 'Shake with distilled water, wait half an hour, read the pen.',
      chooses: 'method',
    },
    asked: [{ name: 'ph', label: 'pH', within: 'measuredPh' }],
  },
  {
    ...{
      id: 'ec',
      name: 'Salts',
      howTo: 'Shake with distilled water, wait half an hour, read the pen.',
      chooses: 'method',
    },
    asked: [{ name: 'ec', label: 'EC, mS/cm', within: 'measuredEcMSPerCm' }],
  },
  {
    ...{ id: 'jar', name: 'Lime in a jar', chooses: 'lime' },
    howTo:
      'Mix lime into a moist litre, keep it warm and moist in a lidded jar for two weeks. Goggles on: lime stings.',
    asked: [
      { name: 'gPerL', label: 'Lime given', unit: 'g/L', within: 'doseGPerL' },
      { name: 'phBefore', label: 'pH before', within: 'measuredPh' },
      { name: 'phAfter', label: 'pH after', within: 'measuredPh' },
    ],
  },
  {
    ...{
      id: 'screen',
      name: 'Screen',
      howTo: 'Put a dry sample through a screen; measure the largest piece.',
    },
    asked: [
      { name: 'mm', label: 'The screen', unit: 'mm', within: 'screenedMm' },
      { name: 'overPct', label: 'Stays on it, %', within: 'pctOfParts' },
      { name: 'largestMm', label: 'Largest piece', unit: 'mm', within: [0.5, 500] },
    ],
  },
  {
    ...{ id: 'falls', name: 'Block falls' },
    howTo:
      'Press a block of it alone. Drop it flat from a foot (30 cm) onto a board until it breaks: count the falls it outlived.',
    asked: [{ name: 'falls', label: 'Falls that it outlived', within: 'blockFalls', whole: true }],
  },
];

export const figureNames: Record<LearnedAnswer['figures'][number]['figure'], string> = {
  density: 'Weight, dry',
  moisture: 'Moisture',
  air: 'Air, drained',
  ph: 'pH',
  salts: 'Salts',
  buffer: 'Answer to lime',
  size: 'Usual bit',
  cohesion: 'Holds together',
};
