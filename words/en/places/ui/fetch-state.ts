import { type Filling, line, place } from '#words/place';

export const fetchState = place('ui/fetch-state', {
  fetching: (what: Filling) => line`Fetching ${what}…`,
  couldNotLoad: (what: Filling, why: Filling) => line`Could not load ${what}. ${why}`,
});
