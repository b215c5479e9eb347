import { type Filling, line, place } from '#words/place';

export const feedChart = place('mix/answer/feed-chart', {
  nitrogenInEachVesselOver: (week: Filling, toFixed: Filling, toFixed2: Filling) =>
    line`Nitrogen in each vessel over ${week} weeks: ${toFixed} mg within reach, ${toFixed2} mg wanted.`,
});
