import { mixWindows } from '#core/judge/windows';
import { type UnitSystem } from '#core/units/show';
import { type Life } from '#core/water/life';
import { type LifeBand } from '#core/water/life-band';
import { shownIn } from '../ui/words/shown-in';
import { type WeeksLine } from './weeks-chart';
import { type MixStanding } from './weeks-subject';
import { common } from '#words/en/places/common';
import { weeksPage as texts } from '#words/en/places/weeks/weeks-page';

/** The lines of the charts: water of the middle life, and the bands of what is dissolved in it. */
export function linesOf(
  it: { typical: Life; band: LifeBand },
  { input, evaluation, kind }: MixStanding,
  system: UnitSystem,
): WeeksLine[] {
  const windows = mixWindows(input, evaluation);
  const { ph } = windows;
  const mL = shownIn('mL', system);
  const water = it.typical.days.map(({ waterMl }) => {
    const shown = waterMl / mL.per;
    return { low: shown, middle: shown, high: shown };
  });
  const wilts =
    (1000 * evaluation.column.volumeL * evaluation.drained.water - 0.9 * evaluation.availableWaterMl) /
    mL.per;
  const of = (line: 'ph' | 'ecSaturatedMSPerCm' | 'nMgPerL') => it.band.days.map((day) => day[line]);
  return [
    {
      ...{
        name: texts.waterInEach(kind.noun),
        unit: mL.unit,
        places: mL.unit === 'mL' ? 0 : 1,
      },
      ...{ days: water, window: { low: wilts, high: null }, below: 'dry' },
    },
    {
      name: common.availableNitrogen,
      unit: shownIn('mg/L', system).unit,
      places: 0,
      days: of('nMgPerL'),
      window: { low: 10, high: null },
      below: 'short',
    },
    { name: 'pH', unit: 'pH', places: 1, days: of('ph'), window: { low: ph.low, high: ph.high } },
    {
      ...{ name: texts.saltsSaturatedExtract, unit: 'mS/cm', places: 2, days: of('ecSaturatedMSPerCm') },
      window: { low: null, high: windows.ecSaturatedMSPerCm.high + evaluation.harmlessEcMSPerCm },
    },
  ];
}
