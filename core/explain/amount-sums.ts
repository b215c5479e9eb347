import { targetSaturation, usualMoisture } from '#core/mix/moisture';
import { neutralisingMeqPerG } from '#core/material/amendment';
import { bufferOnTheWay, limedMeqPerL } from '#core/mix/ph';
import { COMPUTED, LIBRARY, term, type SumOf } from '#core/explain/sum';

/** Computed numbers beside the readings that can say where they come from. */
export const amountIds = ['limeDose', 'scooped', 'waterToAdd', 'wetWeight'] as const;
export type AmountId = (typeof amountIds)[number];

/** How each amount beside the readings is reckoned. */
export const amountSums: Record<AmountId, SumOf> = {
  limeDose: (input, e) => {
    const target = input.limeToPh;
    const strength = target ? neutralisingMeqPerG(target.amendment) : 0;
    const aim = term('pH wanted', target?.ph ?? e.acidity.phBeforeLime, '', 'the recipe');
    const before = term('pH of the parts', e.acidity.phBeforeLime, '', 'buffer-weighted mean');
    const buffer = term(
      'buffer',
      bufferOnTheWay(e.acidity, target?.ph ?? 0),
      'meq/L per pH',
      input.measured?.jar ? 'your jar test' : LIBRARY,
    );
    const others = term('done by other doses', limedMeqPerL(input.amendments), 'meq/L', COMPUTED);
    const need = buffer.value * (aim.value - before.value) - others.value;
    return {
      how: 'Acid to neutralise on the way to the pH wanted, divided by the strength of a gram of this lime.',
      terms: [
        aim,
        before,
        buffer,
        others,
        term('strength of the lime', strength, 'meq/g', 'calcium carbonate equivalent × fineness'),
      ],
      result: strength > 0 ? Math.max(0, need / strength) : 0,
      source: 'Argo & Fisher 2002; fineness by US agronomic convention (from memory)',
      limits: 'g per litre of finished mix, ±25 % until you test your own peat.',
    };
  },
  scooped: (input, e) => {
    const lost = term(
      'lost in mixing',
      e.composition.shrinkage * 100,
      '%',
      input.measured?.shrinkage === undefined ? 'de Larrard 1999' : 'your yield test',
    );
    const firmed = term('firmed by', e.composition.compaction * 100, '%', 'the recipe');
    return {
      how: 'Loose litres to scoop for each litre in the vessels: what mixing and firming take has to go in as well.',
      terms: [lost, firmed],
      result: 1 / ((1 - lost.value / 100) * (1 - firmed.value / 100)),
      source: 'compressible packing model: de Larrard 1999',
      limits: 'Made for grains; for fibrous stuff an estimate, until you measure your own yield.',
    };
  },
  waterToAdd: (input, e) => {
    const moisture = usualMoisture(input.vessel);
    const pores = term('pores', e.composition.totalPorosity * 100, '%', COMPUTED);
    const target = term(
      'pores to fill with water',
      targetSaturation[moisture] * 100,
      '%',
      'common practice, no source',
    );
    const brought = term(
      'water the materials bring',
      e.composition.waterAsBought * 100,
      '% of volume',
      'moisture as bought, material table',
    );
    return {
      how: 'Water that is wanted, less what the materials bring along, per litre of finished mix.',
      terms: [pores, target, brought],
      result: Math.max(0, (pores.value * target.value) / 1e4 - brought.value / 100),
      source: 'volumes; moisture as bought from the material table',
      limits: 'Bales dry out: squeeze a handful and stop when it feels right.',
    };
  },
  wetWeight: (_input, e) => {
    const volume = term('volume', e.column.volumeL, 'L', 'the vessel');
    const dry = term('dry matter', e.composition.dryBulkDensityGPerL, 'g/L', LIBRARY);
    const water = term('water when drained', e.drained.water * 1000, 'g/L', COMPUTED);
    return {
      how: 'Dry matter and drained water in one of these vessels.',
      terms: [volume, dry, water],
      result: volume.value * (dry.value + water.value),
      source: 'EN 13041 for the method of the parts',
      limits: 'Without vessel, plant and label.',
    };
  },
};
