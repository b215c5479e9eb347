import { type Filling, line, place } from '#words/place';

export const weeksChart = place('weeks/weeks-chart', {
  to: (fixed: Filling, fixed2: Filling, fixed3: Filling) => line`${fixed} (${fixed2} to ${fixed3})`,
  rightUpTo: (high: Filling) => line`; right up to ${high}`,
  below: (below: Filling, low: Filling) => line`; ${below} below ${low}`,
  rightFromTo: (low: Filling, high: Filling) => line`; right from ${low} to ${high}`,
  day1Day: (value: Filling, count: Filling, value2: Filling, unit: Filling, right: Filling) =>
    line`Day 1: ${value}; day ${count}: ${value2} ${unit}${right}.`,
});
