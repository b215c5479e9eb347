import { type Filling, line, place } from '#words/place';

/** Where a row of the library is from, as the server answers and exports it. */
export const rowSources = place('shelf/row-sources', {
  starter:
    'starter library: typical figures from memory of Bunt 1988, Raviv & Lieth 2008, Reed 1996 and Argo & Fisher 2002; your own tests replace them',
  usualSizes: 'usual inside dimensions: common practice, no source; measure your own',
  own: 'yours: as you measured it',
  misfit: (source: Filling) => line`${source}; your own tests do not fit it any more`,
  learned: (source: Filling, tests: Filling) => line`${source}; moved by ${tests} of your own tests`,
});
