import { packets as texts } from '#words/en/places/plants/packets';
import { type Lot } from '../data/lots';

/** Packets of seed to choose from, those of the crop first. */
export function packetsFor(crop: string, lots: readonly Lot[]): { id: string; name: string }[] {
  const start = crop.toLowerCase().slice(0, 5);
  const isOf = (item: string): boolean => item.toLowerCase().startsWith(start);
  return lots
    .filter(({ kind }) => kind === 'seed')
    .sort((a, b) => Number(isOf(b.item)) - Number(isOf(a.item)))
    .map(({ id, item, name, left }) => ({
      id: String(id),
      name: `${item}, ${name}${left === null ? '' : `, ${texts.seedsLeft(left)}`}`,
    }));
}
