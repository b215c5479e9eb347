import { smallPicture as texts } from '#words/en/places/plants/small-picture';

/** Longest side of what is kept, dots, and how much of it, bytes: small enough for a thousand. */
const SIDE = 1024;
const MOST_BYTES = 170_000;
const QUALITIES = [0.8, 0.65, 0.5, 0.35, 0.2];

/**
 * A picture as it is kept: JPEG, small, the right way up whichever way the phone was held.
 * @returns base64
 * @throws Error in words for a file that is no picture
 */
export async function smallPicture(file: Blob): Promise<string> {
  let bitmap: ImageBitmap;
  try {
    bitmap = await createImageBitmap(file, { imageOrientation: 'from-image' });
  } catch {
    throw new Error(texts.noPicture);
  }
  const scale = Math.min(1, SIDE / Math.max(bitmap.width, bitmap.height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(8, Math.round(bitmap.width * scale));
  canvas.height = Math.max(8, Math.round(bitmap.height * scale));
  canvas.getContext('2d')!.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
  bitmap.close();
  for (const quality of QUALITIES) {
    const base64 = canvas.toDataURL('image/jpeg', quality).split(',')[1]!;
    if (base64.length * 0.75 <= MOST_BYTES) return base64;
  }
  throw new Error(texts.tooLarge);
}
