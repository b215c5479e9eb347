import { type AmendmentKind } from '#core/material/amendment';
import { type MixInput } from '#core/mix/evaluate';
import { leafCoverOn, type Keeping } from '#core/weeks/keeping';
import { type Trouble } from '#core/weeks/life';
import { weathers } from '#core/weeks/weather';

/** What of the water, the place or the mix may be changed where no rule of watering and feeding does it. */
export const changes = [
  'acid',
  'rain-water',
  'cover',
  'shade',
  'less-lime',
  'more-lime',
  'less-salts',
  'any-hour',
] as const;
export type Change = (typeof changes)[number];

/** Alkalinity that acid leaves, mg/L; and what rain water has. Common practice, no source. */
const ACID_LEAVES = 60;
const RAIN = { alkalinityMgPerL: 20, ecMSPerCm: 0.1 } as const;
/** A trial of lime: so much less, or more, of it. */
const LIME_BY = 0.3;
/** And of salts: half. */
const SALTS_BY = 0.5;
const LIME_PH_BY = 0.4;

const against: Record<Trouble, readonly Change[]> = {
  dry: ['any-hour', 'cover', 'shade'],
  starved: ['shade'],
  salty: ['less-salts', 'rain-water', 'shade', 'cover'],
  sour: ['more-lime'],
  sweet: ['acid', 'rain-water', 'less-lime', 'shade'],
};

const isDosed = ({ amendments }: MixInput, kind: AmendmentKind): boolean =>
  amendments.some(({ amendment, gPerL }) => amendment.kind === kind && gPerL > 0);
const isLimed = (input: MixInput): boolean => input.limeToPh !== undefined || isDosed(input, 'lime');

const isPossible: Record<Change, (input: MixInput, keeping: Keeping) => boolean> = {
  acid: (_, { water }) => water.alkalinityMgPerL > ACID_LEAVES,
  'rain-water': (_, { water }) =>
    water.alkalinityMgPerL > RAIN.alkalinityMgPerL && water.ecMSPerCm > RAIN.ecMSPerCm,
  cover: (_, keeping) => (keeping.cover ?? 'bare') === 'bare' && leafCoverOn(keeping, 1) < 1,
  shade: (_, { weather }) => weather.potentialMmPerDay > weathers[0].potentialMmPerDay,
  'less-lime': isLimed,
  'more-lime': isLimed,
  'less-salts': (input) => isDosed(input, 'salt'),
  'any-hour': (_, { looks }) => looks !== undefined,
};

/** What goes against these troubles and can be done here. */
export const changesOf = (left: readonly Trouble[], input: MixInput, keeping: Keeping): Change[] =>
  [...new Set(left.flatMap((trouble) => against[trouble]))].filter((change) =>
    isPossible[change](input, keeping),
  );

const scaled = (input: MixInput, kind: AmendmentKind, by: number): MixInput => ({
  ...input,
  amendments: input.amendments.map((dose) =>
    dose.amendment.kind === kind ? { ...dose, gPerL: dose.gPerL * by } : dose,
  ),
});

function limed(input: MixInput, by: number): MixInput {
  const { limeToPh } = input;
  if (limeToPh)
    return { ...input, limeToPh: { ...limeToPh, ph: limeToPh.ph + Math.sign(by - 1) * LIME_PH_BY } };
  return scaled(input, 'lime', by);
}

/** The mix and the keeping once it is changed. */
export function changed(
  change: Change,
  input: MixInput,
  keeping: Keeping,
): { input: MixInput; keeping: Keeping } {
  const { water, weather } = keeping;
  switch (change) {
    case 'acid':
      return { input, keeping: { ...keeping, water: { ...water, alkalinityMgPerL: ACID_LEAVES } } };
    case 'rain-water':
      return { input, keeping: { ...keeping, water: { ...water, ...RAIN } } };
    case 'cover':
      return { input, keeping: { ...keeping, cover: 'vermiculite' } };
    case 'shade': {
      // The next duller house.
      const { potentialMmPerDay } =
        weathers.findLast((each) => each.potentialMmPerDay < weather.potentialMmPerDay) ?? weathers[0];
      return { input, keeping: { ...keeping, weather: { ...weather, potentialMmPerDay }, later: undefined } };
    }
    case 'less-lime':
      return { input: limed(input, 1 - LIME_BY), keeping };
    case 'more-lime':
      return { input: limed(input, 1 + LIME_BY), keeping };
    case 'less-salts':
      return { input: scaled(input, 'salt', SALTS_BY), keeping };
    case 'any-hour':
      return { input, keeping: { ...keeping, looks: undefined } };
  }
}
