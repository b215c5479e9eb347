import { type StageWindows } from '#core/mix/windows';
import { Ages } from '#core/weeks/ages';
import { type Keeping } from '#core/weeks/keeping';
import { type UnitSystem } from '#core/units/show';
import { DRY_SHARE, type Life, UPTAKE_FALLS_MG_PER_L } from '#core/weeks/life';
import { type LifeBand } from '#core/weeks/life-band';
import { shownIn } from '../ui/words/shown-in';
import { type WeeksLine, type WeeksWindow } from './weeks-chart';
import { type MixStanding } from './weeks-subject';
import { common } from '#words/en/places/common';
import { weeksPage as texts } from '#words/en/places/weeks/weeks-page';

type Ends = Pick<WeeksWindow, 'low' | 'high'>;

/** What is right by the age of what stands in it: one window for each stretch of days that has the same. */
function byAge(ages: Ages, days: number, of: (windows: StageWindows) => Ends): WeeksWindow[] {
  const windows: WeeksWindow[] = [];
  for (let day = 1; day <= days; day++) {
    const { low, high } = of(ages.windowsOn(day));
    const last = windows.at(-1);
    if (last?.low === low && last.high === high) last.to = day;
    else windows.push({ from: last?.to ?? 1, to: day, low, high });
  }
  return windows;
}

/** The lines of the charts: water of the middle life, and the bands of what is dissolved in it. */
export function linesOf(
  it: { typical: Life; band: LifeBand; keeping: Keeping },
  { input, evaluation, kind }: MixStanding,
  system: UnitSystem,
): WeeksLine[] {
  const ages = new Ages(input, evaluation, it.keeping.plant);
  const over = (of: (windows: StageWindows) => Ends): WeeksWindow[] =>
    byAge(ages, it.typical.days.length, of);
  const mL = shownIn('mL', system);
  const water = it.typical.days.map(({ waterMl }) => {
    const shown = waterMl / mL.per;
    return { low: shown, middle: shown, high: shown };
  });
  const wilts =
    (1000 * evaluation.column.volumeL * evaluation.drained.water - DRY_SHARE * evaluation.availableWaterMl) /
    mL.per;
  const of = (line: 'ph' | 'ecSaturatedMSPerCm' | 'nMgPerL') => it.band.days.map((day) => day[line]);
  return [
    {
      ...{
        name: texts.waterInEach(kind.noun),
        unit: mL.unit,
        places: mL.unit === 'mL' ? 0 : 1,
      },
      ...{ days: water, windows: over(() => ({ low: wilts, high: null })), below: texts.dry },
    },
    {
      name: common.availableNitrogen,
      unit: shownIn('mg/L', system).unit,
      places: 0,
      days: of('nMgPerL'),
      windows: over(() => ({ low: UPTAKE_FALLS_MG_PER_L, high: null })),
      below: texts.short,
    },
    { name: 'pH', unit: 'pH', places: 1, days: of('ph'), windows: over(({ ph }) => ph) },
    {
      ...{ name: texts.saltsSaturatedExtract, unit: 'mS/cm', places: 2, days: of('ecSaturatedMSPerCm') },
      windows: over(({ ecSaturatedMSPerCm: { high } }) => ({
        ...{ low: null, high: high + evaluation.harmlessEcMSPerCm },
      })),
    },
  ];
}
