import { type Filling, line, place } from '#words/place';

export const comesForm = place('batches/comes-form', {
  comes: (name: Filling) => line`${name} today is`,
  notSaid: 'as usual',
  asUsual: 'loose, as usual',
  boneDry: 'bone dry',
  damp: 'damp',
  wet: 'wet',
  bricks: 'in bricks',
});
