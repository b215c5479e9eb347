import { capital, type Severity } from '#core/judge/flag';
import { dayNumber, dayOf } from '#core/season/days';
import { frostChance } from '#core/season/frost';
import { type SeasonSettings } from '#core/season/line';
import { type SeasonSowing } from '#core/season/season';
import { nameOf } from '#core/season/tasks';
import { spokenDay } from '#core/units/day';

/** What a sowing of the season has to be told. */
export interface SeasonSays {
  code:
    'too-long' | 'frost' | 'cold-nights' | 'late' | 'old-seed' | 'per-cell' | 'seed-to-spare' | 'wants-sour';
  severity: Exclude<Severity, 'stop'>;
  line: number;
  sowing: number;
  text: string;
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

const percent = (share: number): string => `${Math.round(100 * share)} %`;
const weeks = (n: number): string => `${n.toFixed(1)} ${Math.round(10 * n) === 10 ? 'week' : 'weeks'}`;

/**
 * What speaks up of a season, worst first: each thing once to a line, for its first sowing that has it.
 * @param today YYYY-MM-DD
 * @param begun whether a sowing is in the ground already
 */
export function seasonSays(
  sowings: readonly SeasonSowing[],
  { frost }: SeasonSettings,
  today: string,
  begun: (line: number, sowing: number) => boolean,
): SeasonSays[] {
  const says: SeasonSays[] = [];
  const told = new Set<string>();
  for (const sowing of sowings) {
    const { line, crop, plantOn, steps, seed } = sowing;
    const say = (
      code: SeasonSays['code'],
      severity: SeasonSays['severity'],
      text: () => string,
      moveDays?: number,
    ): void => {
      const key = `${line.id} ${code}`;
      if (told.has(key)) return;
      told.add(key);
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
          `${nameOf(sowing)} was to begin on ${spokenDay(first.from)}. Begun today it is ready ${late} ${late === 1 ? 'day' : 'days'} later, on ${spokenDay(dayOf(dayNumber(plantOn) + late))}.`,
        late,
      );
    const long = steps.filter((step) => step.tooLongWeeks !== null);
    if (long.length > 0 && !started) {
      const over = long.reduce((sum, step) => sum + step.tooLongWeeks!, 0);
      const days = Math.ceil(7 * over);
      say(
        'too-long',
        'warn',
        () =>
          `${nameOf(sowing)} begins too early: ${weeks(over)} longer in its ${long[0]!.kind.name} than the size allows. Begin on ${spokenDay(dayOf(dayNumber(first.from) + days))}, or pot on sooner.`,
      );
    }
    if (crop.coldestC > TENDER_C) {
      const chance = frostChance(frost, plantOn);
      if (chance > RISKY)
        say(
          'frost',
          'warn',
          () =>
            `${nameOf(sowing)} dies of frost, and after ${spokenDay(plantOn)} it still freezes in ${Math.round(10 * chance)} years of 10. After ${spokenDay(frost.late)} it is one in ten.`,
          dayNumber(frost.late) - dayNumber(plantOn),
        );
      const mild = dayNumber(frost.usual) + MILD_AFTER_DAYS;
      if (crop.coldestC >= COLD_NIGHT_C && chance <= RISKY && dayNumber(plantOn) < mild)
        say(
          'cold-nights',
          'note',
          () =>
            `${nameOf(sowing)} dislikes nights under ${crop.coldestC} °C: cover it, or wait until about ${spokenDay(dayOf(mild))}.`,
        );
    }
    if (crop.start === 'sow') {
      const g = seed.share;
      if (g < OLD_SHARE && (seed.years > 1 || seed.from === 'test'))
        say('old-seed', 'warn', () =>
          seed.from === 'test'
            ? `Of ${nameOf(sowing)} ${percent(seed.low!)} to ${percent(seed.high!)} come up by your test: the plan counts on ${percent(g)}.`
            : `Seed of ${nameOf(sowing)} is ${seed.years} years old, and the plan counts on ${percent(g)}: test ten on damp paper first.`,
        );
      const empty = (1 - g) ** crop.perCell;
      if (crop.spares === 'thin' && empty > EMPTY && crop.perCell < 3)
        say(
          'per-cell',
          'note',
          () =>
            `${capital(`${crop.perCell}`)} seed to a cell leaves ${percent(empty)} of ${nameOf(sowing)} empty at ${percent(g)} germination; ${crop.perCell + 1} leave ${percent((1 - g) ** (crop.perCell + 1))}.`,
        );
      if (crop.spares === 'thin' && crop.perCell > 1 && (1 - g) ** (crop.perCell - 1) < 0.02)
        say(
          'seed-to-spare',
          'note',
          () =>
            `${crop.perCell - 1} to a cell would do for ${nameOf(sowing)}: ${percent((1 - g) ** (crop.perCell - 1))} stay empty.`,
        );
    }
  }
  return worstFirst(says);
}

/** Warnings before notes; those of a kind stay in their order. */
export const worstFirst = (says: readonly SeasonSays[]): SeasonSays[] =>
  [...says].sort((a, b) => Number(a.severity === 'note') - Number(b.severity === 'note'));
