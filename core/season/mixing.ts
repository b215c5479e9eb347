import { isFreshBark, isCoir } from '#core/material/families';
import { lookUp, type Library } from '#core/recipe/library';
import { type Recipe } from '#core/recipe/recipe';
import { dayNumber, dayOf } from '#core/season/days';
import { type RestWhy } from '#core/season/season-facts';
import { type DayForecast } from '#core/season/weather-risks';

/** How long a mix stands before it is used. */
export interface MixRest {
  /** Sooner it does harm, or nothing yet. */
  least: number;
  /** Better. */
  usual: number;
  why: RestWhy;
}

/** Lime acts in one to two weeks, organic feed in two to three, bark cools in three to four: common practice, no source. */
const RESTS = {
  bark: { least: 21, usual: 28, why: 'bark' },
  organic: {
    least: 14,
    usual: 21,
    why: 'organic',
  },
  lime: { least: 7, usual: 14, why: 'lime' },
  coir: { least: 1, usual: 1, why: 'coir' },
} as const satisfies Record<string, MixRest>;
const NONE: MixRest = { least: 0, usual: 0, why: 'none' };

/** The longest wait that anything in a recipe asks for. @throws OutOfRange for an unknown id */
export function mixRestOf({ components, lime, amendments }: Recipe, library: Library): MixRest {
  const materials = components.map((c) => lookUp(library.materials, c.material, 'components'));
  const kinds = amendments
    .filter((d) => d.gPerL > 0)
    .map((d) => lookUp(library.amendments, d.amendment, 'amendments').kind);
  if (materials.some(isFreshBark)) return RESTS.bark;
  if (kinds.includes('organic')) return RESTS.organic;
  if (lime || kinds.includes('lime')) return RESTS.lime;
  return materials.some(isCoir) ? RESTS.coir : NONE;
}

/** So much of a mix on a day. */
export interface MixNeed {
  /** Whatever names the mix. */
  mix: string;
  on: string;
  litres: number;
  line: number;
  sowing: number;
  step: number;
}

export interface MixingDay {
  mix: string;
  on: string;
  /** No later: the first use, less the shortest rest. */
  latest: string;
  litres: number;
  needs: MixNeed[];
  /** Even the shortest rest is over before it can be mixed: it goes in unready, or the sowing waits. */
  late: boolean;
  rest: MixRest;
  /** The day was moved to a dry and still one, or none was found. */
  weather: 'moved' | 'fair' | 'foul' | null;
}

/** Batches of one mix that fall within a week are one. */
const JOIN_DAYS = 7;
const DRY_MM = 1;
/** Above it light parts and dust blow about: common practice, no source. */
const STILL_KMH = 20;

const isFair = ({ rainMm, windKmh }: DayForecast): boolean =>
  rainMm < DRY_MM && (windKmh === undefined || windKmh < STILL_KMH);

/**
 * The fewest mixing days that serve every need: each mix may be made from a week before its better rest up to its
 * shortest one, and a day serves all whose time it lies in.
 * @param today none is planned before it
 * @param forecast of the days to come; outdoors one mixes on a dry and still day
 */
export function mixingDays(
  needs: readonly MixNeed[],
  restOf: (mix: string) => MixRest,
  today: string,
  forecast: readonly DayForecast[] = [],
): MixingDay[] {
  const byMix = new Map<string, MixNeed[]>();
  for (const need of needs) {
    if (need.litres <= 0) continue;
    const existing = byMix.get(need.mix);
    if (existing) existing.push(need);
    else byMix.set(need.mix, [need]);
  }
  const now = dayNumber(today, 'today');
  const weather = new Map(forecast.map((dayForecast) => [dayNumber(dayForecast.day), dayForecast]));
  const days: MixingDay[] = [];
  for (const [mix, all] of byMix) {
    const rest = restOf(mix);
    const waiting = all
      .map((need) => {
        const use = dayNumber(need.on);
        return { need, use, from: use - rest.usual - JOIN_DAYS, by: use - rest.least };
      })
      .sort((a, b) => a.use - b.use);
    // Ends come in order: the day of the earliest end serves as many as any day can.
    for (let i = 0; i < waiting.length;) {
      const latest = waiting[i]!.by;
      let j = i;
      while (j < waiting.length && waiting[j]!.from <= latest) j++;
      const group = waiting.slice(i, j);
      const earliest = group[group.length - 1]!.from;
      // What should have been mixed is mixed today.
      const late = latest < now;
      const wanted = Math.max(now, earliest, Math.min(latest, group[0]!.use - rest.usual));
      const { on, said } = fairDay(wanted, Math.max(now, earliest, wanted - JOIN_DAYS), latest, weather);
      days.push({
        ...{ mix, rest, late, weather: said, on: dayOf(on), latest: dayOf(latest) },
        litres: group.reduce((sum, { need }) => sum + need.litres, 0),
        needs: group.map(({ need }) => need),
      });
      i = j;
    }
  }
  return days.sort((a, b) => (a.on < b.on ? -1 : a.on > b.on ? 1 : 0));
}

/** The nearest dry and still day between two; the wanted one where the forecast does not reach. */
function fairDay(
  wanted: number,
  from: number,
  to: number,
  weather: ReadonlyMap<number, DayForecast>,
): { on: number; said: MixingDay['weather'] } {
  const present = weather.get(wanted);
  if (!present) return { on: wanted, said: null };
  if (isFair(present)) return { on: wanted, said: 'fair' };
  for (let away = 1; away <= Math.max(wanted - from, to - wanted); away++)
    for (const day of [wanted - away, wanted + away]) {
      const dayForecast = day >= from && day <= to ? weather.get(day) : undefined;
      if (dayForecast && isFair(dayForecast)) return { on: day, said: 'moved' };
    }
  return { on: wanted, said: 'foul' };
}
