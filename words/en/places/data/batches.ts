import { type Filling, line, place } from '#words/place';

export const batches = place('data/batches', {
  batch: (name: Filling) => line`batch ${name}`,
});
