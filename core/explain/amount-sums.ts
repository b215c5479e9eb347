import { targetSaturation, usualMoisture } from '#core/mix/moisture';
import { neutralisingMeqPerG } from '#core/material/amendment';
import { bufferOnTheWay, givenBy, limedMeqPerL, limeNeededMeqPerL } from '#core/mix/ph';
import { COMPUTED, LIBRARY, lostInMixing, RECIPE, term, type SumOf } from '#core/explain/sum';
import { originSays as from, termSays as t } from '#core/explain/sum-facts';
import { none } from '#core/units/message';

/** Computed numbers beside the readings that can say where they come from. */
export const amountIds = ['limeDose', 'scooped', 'waterToAdd', 'wetWeight'] as const;
export type AmountId = (typeof amountIds)[number];

/** How each amount beside the readings is computed. */
export const amountSums: Record<AmountId, SumOf> = {
  limeDose: (input, e) => {
    const target = input.limeToPh;
    const strength = target ? neutralisingMeqPerG(target.amendment) : 0;
    const aim = term(t('term.ph-wanted', none), target?.ph ?? e.acidity.phBeforeLime, 'ph', RECIPE);
    const before = term(
      t('term.ph-before', none),
      e.acidity.phBeforeLime,
      'ph',
      from('from.buffer-mean', none),
    );
    const buffer = term(
      t('term.buffer', none),
      bufferOnTheWay(e.acidity, target?.ph ?? 0),
      'meqPerLPerPh',
      input.measured?.jar ? from('from.jar-test', none) : LIBRARY,
    );
    const others = term(
      t('term.neutralised-by-others', none),
      limedMeqPerL(input.amendments),
      'meqPerL',
      COMPUTED,
    );
    const given = givenBy(input.amendments);
    const needed = limeNeededMeqPerL(e.acidity, aim.value, given.whole);
    const isCaustic = target?.amendment.caution === 'caustic';
    const result = isCaustic
      ? (e.lime?.gPerL ?? 0)
      : strength > 0
        ? Math.max(0, needed - given.lime) / strength
        : 0;
    const used = buffer.value * (aim.value - before.value);
    const acting =
      !isCaustic && needed > 0 && given.whole === 0 && e.acidity.carbonateMeqPerL <= 0
        ? [term(t('term.lime-acting', none), (100 * used) / needed, 'pct', from('from.lime-share', none))]
        : [];
    return {
      terms: [
        aim,
        before,
        buffer,
        others,
        ...acting,
        term(t('term.lime-strength', none), strength, 'meqPerG', from('from.fineness', none)),
      ],
      result,
      kind: 'dose',
    };
  },
  scooped: (input, e) => {
    const lost = lostInMixing(input, e);
    const firmed = term(t('term.firmed', none), e.composition.compaction * 100, 'pct', RECIPE);
    return {
      terms: [lost, firmed],
      result: 1 / ((1 - lost.value / 100) * (1 - firmed.value / 100)),
      kind: 'plain',
    };
  },
  waterToAdd: (input, e) => {
    const moisture = usualMoisture(input.vessel);
    const pores = term(t('term.pores', none), e.composition.totalPorosity * 100, 'pct', COMPUTED);
    const target = term(
      t('term.pores-to-fill', none),
      targetSaturation[moisture] * 100,
      'pct',
      from('from.practice', none),
    );
    const brought = term(
      t('term.water-brought', none),
      e.composition.waterAsBought * 100,
      'pct',
      from('from.bought', none),
    );
    return {
      terms: [pores, target, brought],
      result: Math.max(0, (pores.value * target.value) / 1e4 - brought.value / 100),
      kind: 'plain',
    };
  },
  wetWeight: (_input, e) => {
    const volume = term(t('term.volume', none), e.column.volumeL, 'volume', from('from.vessel', none));
    const dry = term(t('term.dry-matter', none), e.composition.dryBulkDensityGPerL, 'density', LIBRARY);
    const water = term(t('term.water-drained', none), e.drained.water * 1000, 'density', COMPUTED);
    return {
      terms: [volume, dry, water],
      result: volume.value * (dry.value + water.value),
      kind: 'mass',
    };
  },
};
