import { type Filling, line, place } from '#words/place';

export const plantList = place('plants/plant-list', {
  newPlanting: 'New planting',
  thePlants: 'the plants',
  nothingGrowsYetBeginWith: 'Nothing grows yet. Begin with New planting.',
  olderOnes: 'Older ones',
  newest: ' newest',
  doneWith: 'Done with',
  archived: 'Archived',
  couldNotLoadTheOlder: (message: Filling) => line`Could not load the older ones: ${message}`,
});
