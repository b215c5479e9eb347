import { allow } from '#core/units/allowed';
import { none } from '#core/units/message';
import { imageSize } from 'image-size';
import { OutOfRange } from '#core/units/check';
import { limits } from '#core/units/limits';
import { type Db } from '#server/base/database/db';

/** Width and height of a JPEG. @throws OutOfRange for what is none, or a side out of range */
export function sizeOfJpeg(bytes: Uint8Array): { width: number; height: number } {
  let size: ReturnType<typeof imageSize>;
  try {
    size = imageSize(bytes);
  } catch {
    throw new OutOfRange('jpeg', `${bytes.length} bytes`, allow('allowed.jpeg', none));
  }
  const { type, width, height } = size;
  if (type !== 'jpg') throw new OutOfRange('jpeg', type, allow('allowed.jpeg', none));
  const [low, high] = limits.pictureSide;
  if (Math.min(width, height) < low || Math.max(width, height) > high)
    throw new OutOfRange('jpeg', `${width} × ${height}`, allow('allowed.dots', { low, high }));
  return { width, height };
}

/** Pictures of plantings, as JPEG. */
export class PictureStore {
  private readonly pictureById;
  private readonly insertPicture;

  constructor(db: Db) {
    this.pictureById = db.prepare<[number], Buffer>('SELECT jpeg FROM plant_pictures WHERE id = ?').pluck();
    this.insertPicture = db.prepare(
      `INSERT INTO plant_pictures (key, planting_id, jpeg, width, height, at)
       VALUES (@key, @planting, @jpeg, @width, @height, @at)`,
    );
  }

  one(id: number): Buffer | null {
    return this.pictureById.get(id) ?? null;
  }

  /** @returns its number */
  add(picture: {
    key: string;
    planting: number;
    jpeg: Buffer;
    width: number;
    height: number;
    at: string;
  }): number {
    return Number(this.insertPicture.run(picture).lastInsertRowid);
  }
}
