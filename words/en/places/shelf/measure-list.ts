import { type Filling, line, place } from '#words/place';

export const measureList = place('shelf/measure-list', {
  yourMeasures: 'your measures',
  struck: 'struck',
  heaped: 'heaped',
  noneYetFillYoursWith: 'None yet: fill yours with water from a measured jug, and enter what it holds.',
  aBucketCupOrTub: 'A bucket, cup or tub',
  holdsStruck: 'Holds, struck',
  heapedIfYouHeapIt: 'Heaped, if you heap it',
  notKept: (message: Filling) => line`Not saved: ${message}`,
  isArchived: (name: Filling) => line`${name} is archived.`,
});
