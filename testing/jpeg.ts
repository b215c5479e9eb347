/** The head of a JPEG of this size, with nothing in it: base64. */
export function jpegOf(width: number, height: number): string {
  const size = [height >> 8, height & 255, width >> 8, width & 255];
  const jfif = [0xff, 0xe0, 0, 16, 0x4a, 0x46, 0x49, 0x46, 0, 1, 1, 0, 0, 1, 0, 1, 0, 0];
  const frame = [0xff, 0xc0, 0, 17, 8, ...size, 3, 1, 0x11, 0, 2, 0x11, 0, 3, 0x11, 0];
  return Buffer.from([0xff, 0xd8, ...jfif, ...frame, 0xff, 0xd9]).toString('base64');
}
