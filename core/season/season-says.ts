import { type Severity } from '#core/judge/flag';
import { dayNumber, dayOf } from '#core/season/days';
import { type EmergenceSpan, emergenceAt } from '#core/season/emergence';
import { frostChance } from '#core/season/frost';
import { type SeasonSettings } from '#core/season/line';
import { type SeasonSowing } from '#core/season/season';
import { nameOf, type SeasonMessage, seasonSay } from '#core/season/season-facts';
import { isOpenFlat } from '#core/season/per-vessel';
import { named } from '#core/units/message';

/** What a sowing of the season has to be told. */
export interface SeasonSays {
  code:
    | 'too-long'
    | 'hardly-up'
    | 'frost'
    | 'cold-nights'
    | 'late'
    | 'old-seed'
    | 'per-cell'
    | 'seed-to-spare'
    | 'wants-sour';
  severity: Exclude<Severity, 'stop'>;
  line: number;
  sowing: number;
  text: SeasonMessage;
  /** Days by which the sowing would have to move to be right. */
  moveDays?: number;
}

/** Plants that die of frost, not only of cold. */
const TENDER_C = 0;
/** More than one year in five: common practice, no source. */
const RISKY = 0.2;
const COLD_NIGHT_C = 10;
/** Nights follow the frost by about so long until they are mild: common practice, no source. */
const MILD_AFTER_DAYS = 14;
const OLD_SHARE = 0.6;
const EMPTY = 0.1;

/** So far ahead a warm enough day is looked for. */
const AHEAD_DAYS = 200;

/** First day after the sowing on which it is warm enough; null where none comes. */
function warmEnoughFrom(
  sownOn: string,
  [low, high]: EmergenceSpan,
  warmOn: (day: string) => number,
): string | null {
  const isWarm = (day: string): boolean => warmOn(day) >= low && warmOn(day) <= high;
  // The house is warm enough on its day already: it is the mix that is not.
  if (isWarm(sownOn)) return null;
  const first = dayNumber(sownOn);
  for (let n = 1; n <= AHEAD_DAYS; n++) {
    if (isWarm(dayOf(first + n))) return dayOf(first + n);
  }
  return null;
}

/**
 * What speaks up of a season, worst first: each thing once to a line, for its first sowing that has it.
 * @param today YYYY-MM-DD
 * @param begun whether a sowing is in the ground already
 * @param warmOn how warm the house is on a day, °C, where the months differ
 */
export function seasonSays(
  sowings: readonly SeasonSowing[],
  { frost, soilC }: SeasonSettings,
  today: string,
  begun: (line: number, sowing: number) => boolean,
  warmOn?: (day: string) => number,
): SeasonSays[] {
  const says: SeasonSays[] = [];
  const result = new Set<string>();
  for (const sowing of sowings) {
    const { line, crop, plantOn, steps, perCell, seed } = sowing;
    const say = (
      code: SeasonSays['code'],
      severity: SeasonSays['severity'],
      text: () => SeasonMessage,
      moveDays?: number,
    ): void => {
      const key = `${line.id} ${code}`;
      if (result.has(key)) return;
      result.add(key);
      const about = { code, severity, line: line.id, sowing: sowing.sowing };
      says.push({ ...about, text: text(), ...(moveDays !== undefined && { moveDays }) });
    };
    const started = begun(line.id, sowing.sowing);
    const first = steps[0]!;
    const late = dayNumber(today) - dayNumber(first.from);
    if (late > 0 && !started && plantOn > today)
      say(
        'late',
        'warn',
        () =>
          seasonSay('season.late', {
            name: nameOf(sowing),
            on: first.from,
            days: late,
            ready: dayOf(dayNumber(plantOn) + late),
          }),
        late,
      );
    const long = steps.filter((step) => step.tooLongWeeks !== null);
    if (long.length > 0 && !started) {
      const over = long.reduce((sum, step) => sum + step.tooLongWeeks!, 0);
      const days = Math.ceil(7 * over);
      say('too-long', 'warn', () =>
        seasonSay('season.too-long', {
          name: nameOf(sowing),
          vessel: named(long[0]!.kind),
          weeks: over,
          beginOn: dayOf(dayNumber(first.from) + days),
        }),
      );
    }
    if (crop.coldestC > TENDER_C) {
      const chance = frostChance(frost, plantOn);
      if (chance > RISKY)
        say(
          'frost',
          'warn',
          () => seasonSay('season.frost', { name: nameOf(sowing), after: plantOn, chance, safe: frost.late }),
          dayNumber(frost.late) - dayNumber(plantOn),
        );
      const mild = dayNumber(frost.usual) + MILD_AFTER_DAYS;
      if (crop.coldestC >= COLD_NIGHT_C && chance <= RISKY && dayNumber(plantOn) < mild)
        say('cold-nights', 'note', () =>
          seasonSay('season.cold-nights', {
            name: nameOf(sowing),
            celsius: crop.coldestC,
            mild: dayOf(mild),
          }),
        );
    }
    if (crop.start === 'sow') {
      const { outside } = emergenceAt(crop.emergence, soilC);
      if (outside && !started)
        say('hardly-up', 'warn', () =>
          seasonSay('season.hardly-up', {
            ...{ name: nameOf(sowing), celsius: soilC },
            ...{ low: outside[0], high: outside[1] },
            from: warmOn ? warmEnoughFrom(first.from, outside, warmOn) : null,
          }),
        );
      const g = seed.share;
      if (g < OLD_SHARE && (seed.years > 1 || seed.from === 'test'))
        say('old-seed', 'warn', () =>
          seed.from === 'test'
            ? seasonSay('season.tested-seed', {
                name: nameOf(sowing),
                low: seed.low!,
                high: seed.high!,
                share: g,
              })
            : seasonSay('season.old-seed', { name: nameOf(sowing), years: seed.years, share: g }),
        );
      const empty = (1 - g) ** perCell;
      const thins = crop.spares === 'thin' && !isOpenFlat(first.kind);
      if (thins && empty > EMPTY && perCell < 3)
        say('per-cell', 'note', () =>
          seasonSay('season.per-cell', {
            name: nameOf(sowing),
            perCell,
            empty,
            oneMore: (1 - g) ** (perCell + 1),
            share: g,
          }),
        );
      if (thins && perCell > 1 && (1 - g) ** (perCell - 1) < 0.02)
        say('seed-to-spare', 'note', () =>
          seasonSay('season.seed-to-spare', {
            name: nameOf(sowing),
            perCell: perCell - 1,
            empty: (1 - g) ** (perCell - 1),
          }),
        );
    }
  }
  return worstFirst(says);
}

/** Warnings before notes; those of a kind stay in their order. */
export const worstFirst = (says: readonly SeasonSays[]): SeasonSays[] =>
  [...says].sort((a, b) => Number(a.severity === 'note') - Number(b.severity === 'note'));
