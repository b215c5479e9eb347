import { type RestWhy, type SeasonFacts, type SowingName, type Vessels } from '#core/season/season-facts';
import { type Words } from '#words/catalog';
import { type Formats } from '#words/formats';

/** "Tomato “Long Red”, sowing 2 of 3". */
const onDay = (day: string, f: Formats): string => (f.isNear(day) ? f.day(day) : `on ${f.day(day)}`);

const sowing = ({ crop, sort, sowing: which, of }: SowingName): string =>
  `${crop.name}${sort ? ` “${sort}”` : ''}${of > 1 ? `, sowing ${which} of ${of}` : ''}`;

/** "120 cells, 2 × 72-cell tray"; "40 × 9 cm pot". */
const vessels = ({ vessel, noun, cells, trays, perTray }: Vessels, f: Formats): string => {
  const kinds = `${f.count(trays)} × ${f.title(vessel)}`;
  return perTray === 1 ? kinds : `${f.counted(cells, { one: noun, other: `${noun}s` })}, ${kinds}`;
};

const begin = { sow: 'Sow', stick: 'Stick', divide: 'Divide' } as const;
const covered = { vermiculite: 'fine vermiculite', mix: 'sieved mix', sand: 'sharp sand' } as const;
const rests: Record<RestWhy, string> = {
  bark: 'fresh bark cools and settles three to four weeks',
  organic: 'organic feed gives nothing for two to three weeks, and can harm while it starts',
  lime: 'lime takes one to two weeks in moist mix',
  coir: 'coir soaks overnight',
  none: 'it may be used at once',
};
const weeks = (n: number, f: Formats): string =>
  `${Number(n.toFixed(1))}\u00a0${f.plural(Number(n.toFixed(1)), { one: 'week', other: 'weeks' })}`;

export const season: Words<SeasonFacts> = {
  'season.name': (name) => sowing(name),
  'season.vessels': (facts, f) => vessels(facts, f),
  'task.start': ({ name, start, vessels: into, perCell, cover, dark }, f) => {
    const per = perCell > 1 ? `, ${perCell} to each` : '';
    const under =
      start !== 'sow'
        ? ''
        : cover === null
          ? '; leave it uncovered'
          : `; cover with ${f.length(cover.mm)} of ${covered[cover.with]}`;
    return `${begin[start]} ${sowing(name)}: ${vessels(into, f)}${per}${under}${dark ? ', keep it dark' : ''}`;
  },
  'task.up': ({ name, rooted }) =>
    rooted
      ? `${sowing(name)} roots: tug one, and lower the mist`
      : `${sowing(name)} comes up: dome off, into the light`,
  'task.spares': ({ name, noun }) => `Thin ${sowing(name)} to one in each ${noun}: snip, do not pull`,
  'task.feed': ({ name }) => `First feed of ${sowing(name)}: weak, by its label`,
  'task.move': ({ name, prick, vessels: into, deep }, f) =>
    `${prick ? 'Prick out' : 'Pot on'} ${sowing(name)}: ${vessels(into, f)}, ${
      deep ? 'deep, to the first true leaf' : 'at its old level'
    }`,
  'task.harden': ({ name }) => `Harden off ${sowing(name)} until it is planted`,
  'task.plant': ({ name, plants }, f) => `Plant or sell ${sowing(name)}: ${f.count(plants)} wanted`,
  'task.own': ({ name, what }) => `${sowing(name)}: ${what}`,
  'fit.blocks': ({ name, vessel }, f) => `${sowing(name)} in blocks in place of ${f.title(vessel)}`,
  'fit.move': ({ name, weeks: by }, f) =>
    `${sowing(name)} ${weeks(Math.abs(by), f)} ${by < 0 ? 'earlier' : 'later'}`,
  'strip.bar': ({ name, vessel, from, moves, out }, f) =>
    `${sowing(name)}: ${f.title(vessel)} ${f.day(from)}${moves
      .map((move) => `, ${f.title(move.vessel)} ${f.day(move.on)}`)
      .join('')}, out ${f.day(out)}. Arrow keys move it by a week.`,
  'calendar.mix': ({ mix, litres, why, latest }, f) =>
    `Mix ${f.volume(litres)} of ${mix}, no later than ${f.day(latest)}: ${rests[why]}`,
  'task.mix': ({ why, latest }, f) =>
    latest === null ? `${rests[why]}: it is late` : `no later than ${f.day(latest)}: ${rests[why]}`,
  'season.late': ({ name, on, days, ready }, f) =>
    `${sowing(name)} was to begin ${onDay(on, f)}. Begun today it is ready ${f.counted(days, { one: 'day', other: 'days' })} later, ${onDay(ready, f)}.`,
  'season.too-long': ({ name, vessel, weeks: over, beginOn }, f) =>
    `${sowing(name)} begins too early: ${weeks(over, f)} too long in its ${f.title(vessel)}. Begin ${onDay(beginOn, f)}, or pot on sooner.`,
  'season.frost': ({ name, after, chance, safe }, f) =>
    `${sowing(name)} dies of frost: after ${f.day(after)} it still freezes in ${Math.round(10 * chance)} years of 10. From ${f.day(safe)} on it is one in ten.`,
  'season.cold-nights': ({ name, celsius, mild }, f) =>
    `${sowing(name)} dislikes nights under ${f.celsius(celsius)}. Cover it, or wait until about ${f.day(mild)}.`,
  'season.hardly-up': ({ name, celsius, low, high, from = null }, f) =>
    celsius < low
      ? `Few or none of ${sowing(name)} come up at ${f.celsius(celsius)}: it takes ${f.celsiusRange(low, high)}. ${
          from
            ? `Sow it in heat, or begin it ${f.isNear(from) ? '' : 'on '}${f.day(from)}.`
            : 'Sow it in a heated place.'
        }`
      : `Few or none of ${sowing(name)} come up at ${f.celsius(celsius)}: it takes ${f.celsiusRange(low, high)}. Sow it in a cool place.`,
  'season.tested-seed': ({ name, low, high, share }, f) =>
    `By your test ${f.pct(100 * low)} to ${f.pct(100 * high)} of ${sowing(name)} come up: the plan counts on ${f.pct(100 * share)}.`,
  'season.old-seed': ({ name, years, share }, f) =>
    `Seed of ${sowing(name)} is ${f.counted(years, { one: 'year', other: 'years' })} old: the plan counts on ${f.pct(100 * share)}. Test ten on damp paper first.`,
  'season.per-cell': ({ name, perCell, empty, oneMore, share }, f) =>
    `${sowing(name)}: at ${f.pct(100 * share)} germination ${perCell} to a cell leaves ${f.pct(100 * empty)} empty, ${perCell + 1} leave ${f.pct(100 * oneMore)}.`,
  'season.seed-to-spare': ({ name, perCell, empty }, f) =>
    `${perCell} to a cell would do for ${sowing(name)}: ${f.pct(100 * empty)} stay empty.`,
  'season.wants-acid': ({ crop, low, high, mix, limedTo }, f) =>
    `${crop.name} wants acid mix, pH ${f.ph(low)} to ${f.ph(high)}, and ${mix} is limed to ${f.ph(limedTo)}. Give it a mix for acid-loving plants.`,
  'weather.frost': ({ celsius }, f) =>
    `Frost tonight, down to ${f.celsius(celsius)}: cover, or bring in what is tender.`,
  'weather.cold': ({ celsius }, f) =>
    `Cold tonight, ${f.celsius(celsius)}: keep tomatoes and peppers in. Water in the morning only.`,
  'weather.dry': ({ days }, f) =>
    `No rain for ${f.counted(days, { one: 'day', other: 'days' })}: small blocks and plugs outdoors want water daily.`,
  'weather.wet': ({ mm }, f) =>
    `About ${f.rain(mm)} of rain in three days: it washes feed out of open trays.`,
};
