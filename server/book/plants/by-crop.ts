import { type CropShare } from '#contract/plants';
import { type Planting } from '#core/plants/planting';

type Share = CropShare['up'];
export const plus = (a: Share, b: Share): Share => ({ alive: a.alive + b.alive, of: a.of + b.of });

/**
 * Adds a planting to what is counted of its crop; cuttings of it stand apart from its seed.
 * @param perTray vessels to a tray of it
 */
export function noteCrop(
  crops: CropShare[],
  { crop, start, cells }: Pick<Planting, 'crop' | 'start' | 'cells'>,
  name: string,
  perTray: number,
  up: Share,
): void {
  const struck = start === 'strike';
  const trays = cells / perTray;
  const existing = crops.find((each) => each.crop === crop && each.struck === struck);
  if (!existing) crops.push({ crop, name, struck, plantings: 1, trays, up });
  else {
    existing.plantings++;
    existing.trays += trays;
    existing.up = plus(existing.up, up);
  }
}
