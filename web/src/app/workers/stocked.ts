import { type Library } from '#core/recipe/library';
import { type Stocked } from './spread.protocol';

/** A library as it goes to a worker. */
export const stockedOf = ({ materials, amendments, vessels, windows }: Library): Stocked => ({
  materials: [...materials.values()],
  amendments: [...amendments.values()],
  vessels: [...vessels.values()],
  windows,
});
