import { type Filling, line, place } from '#words/place';

export const lasts = place('ui/words/lasts', {
  hoursOfDay: (hours: Filling) => line`${hours} hours of day`,
  overAMonth: 'over a month',
  days: (days: Filling) => line`${days} days`,
});
