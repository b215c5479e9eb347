import { imageSize } from 'image-size';
import { OutOfRange } from '#core/units/check';
import { limits } from '#core/units/limits';

/** Width and height of a JPEG. @throws OutOfRange for what is none, or a side out of range */
export function sizeOfJpeg(bytes: Uint8Array): { width: number; height: number } {
  let size: ReturnType<typeof imageSize>;
  try {
    size = imageSize(bytes);
  } catch {
    throw new OutOfRange('jpeg', `${bytes.length} bytes`, 'a picture, as JPEG');
  }
  const { type, width, height } = size;
  if (type !== 'jpg') throw new OutOfRange('jpeg', type, 'a picture, as JPEG');
  const [low, high] = limits.pictureSide;
  if (Math.min(width, height) < low || Math.max(width, height) > high)
    throw new OutOfRange('jpeg', `${width} × ${height}`, `from ${low} to ${high} dots a side`);
  return { width, height };
}
