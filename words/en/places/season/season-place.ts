import { place } from '#words/place';

export const seasonPlace = place('season/season-place', {
  ofTheSeason: 'Of the season',
  plan: 'Plan',
  toBuy: 'To buy',
  fewerMixes: 'Fewer mixes',
  frostAndBenches: 'Frost and benches',
});
