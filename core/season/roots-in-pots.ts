import { type Crop } from '#core/season/crop';

/**
 * Coldest night that young roots in a pot survive, °C. In the ground they are kept warmer, and the tops bear more: it is
 * the roots that set the limit of a woody plant in its pot (Havis, HortScience 11:385 (1976); Studer et al.,
 * HortScience 13:57 (1978), from memory). Spread over kinds: two degrees either way.
 */
const rootsC: Readonly<Record<string, number>> = {
  box: -3,
  holly: -6,
  viburnum: -8,
  oak: -6,
  pine: -10,
};

/** Limits of a plant in its pot and in the ground, °C; alike where its roots are not the weaker. */
export function coldestNight({ id, coldestC }: Pick<Crop, 'id' | 'coldestC'>): {
  potC: number;
  groundC: number;
} {
  return { potC: Math.max(coldestC, rootsC[id] ?? coldestC), groundC: coldestC };
}
