import { type Filling, line, many, place } from '#words/place';

export const seasonCharts = place('season/season-charts', {
  benchByWeek: 'Bench by week',
  asATable: 'As a table',
  week: 'Week',
  bench: (unit: Filling) => line`Bench, ${unit}`,
  overBy: 'Over by',
  mixByWeek: 'Mix by week',
  ofIt: (toFixed: Filling) => line` of ${toFixed}`,
  benchByWeekAtMost: (benchM2: Filling, unit: Filling, ofIt: Filling, weeks: number) =>
    line`Bench by week, at most ${benchM2} ${unit}${ofIt}; over in ${weeks} ${many(weeks, 'week', 'weeks')}.`,
  theBench: 'the bench',
  mixByTheWeekIn: (join: Filling, toFixed: Filling, unit: Filling) =>
    line`Mix by the week in which it is filled: ${join}; ${toFixed} ${unit} in all.`,
});
