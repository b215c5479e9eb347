import { none } from '#core/units/message';
import { allow, type Allowed } from '#core/units/allowed';
import { createHash } from 'node:crypto';
import { type Readable } from 'node:stream';
import { crc32 } from 'node:zlib';
import { type Entry, open, type ZipFile } from 'yauzl';
import { OutOfRange } from '#core/units/check';
import { ARCHIVE_LIMITS, FILE_NAME, HEAD_FILE } from '#server/out/archive/form';

export const wrong = (what: string, value: unknown, allowed: Allowed): OutOfRange =>
  new OutOfRange(`archive: ${what}`, value, allowed);

/** The files of an archive, each read from the disk when it is asked for, and held against its sums. */
export class Members {
  private constructor(
    private readonly zip: ZipFile,
    private readonly entries: ReadonlyMap<string, Entry>,
  ) {}

  /**
   * Lists what lies in it. What is not of an archive, named twice, or more than the disk has room for is refused before
   * anything is unpacked.
   * @param free bytes that there is room for
   * @throws OutOfRange in words
   */
  static async of(archive: string, free: number): Promise<Members> {
    const zip = await new Promise<ZipFile>((done, failed) =>
      open(archive, { lazyEntries: true, autoClose: false, strictFileNames: true }, (error, it) => {
        if (error) failed(wrong('file', error.message.slice(0, 100), allow('allowed.whole-zip', none)));
        else done(it);
      }),
    );
    const entries = new Map<string, Entry>();
    let bytes = 0;
    try {
      await new Promise<void>((done, failed) => {
        zip.on('error', (error: Error) =>
          failed(
            error instanceof OutOfRange
              ? error
              : wrong(
                  'file in it',
                  error.message.slice(0, 100),
                  allow('allowed.members-only', { head: HEAD_FILE }),
                ),
          ),
        );
        zip.on('end', done);
        zip.on('entry', (entry: Entry) => {
          const { fileName: name } = entry;
          bytes += entry.uncompressedSize;
          if (!FILE_NAME.test(name))
            failed(
              wrong('file in it', name.slice(0, 100), allow('allowed.members-only', { head: HEAD_FILE })),
            );
          else if (entries.has(name)) failed(wrong('file in it', name, allow('allowed.name-once', none)));
          else if (bytes > free) failed(wrong('file', bytes, allow('allowed.room-on-disk', { bytes: free })));
          else {
            entries.set(name, entry);
            zip.readEntry();
          }
        });
        zip.readEntry();
      });
    } catch (error) {
      zip.close();
      throw error;
    }
    return new Members(zip, entries);
  }

  get names(): string[] {
    return [...this.entries.keys()];
  }

  close(): void {
    this.zip.close();
  }

  /**
   * What lies in one of them, piece by piece; its own sum (CRC-32) and the one that the head tells (SHA-256) are looked
   * at when all is read.
   * @param sum SHA-256 in hex; undefined in an archive from before there were any
   * @throws OutOfRange where it is not what it was
   */
  async *pieces(name: string, sum?: string): AsyncGenerator<Buffer, void> {
    const entry = this.entries.get(name);
    if (!entry) throw wrong(name, 'nothing', allow('allowed.file-there', none));
    const [hash, altered] = [
      createHash('sha256'),
      (): OutOfRange => wrong(name, 'altered', allow('allowed.as-packed', none)),
    ];
    let crc = 0;
    try {
      const stream = await new Promise<Readable>((done, failed) =>
        this.zip.openReadStream(entry, (error, it) => (error ? failed(error) : done(it))),
      );
      for await (const piece of stream as AsyncIterable<Buffer>) {
        crc = crc32(piece, crc);
        hash.update(piece);
        yield piece;
      }
    } catch (error) {
      if (error instanceof OutOfRange) throw error;
      throw altered();
    }
    if (crc !== entry.crc32 || (sum !== undefined && hash.digest('hex') !== sum)) throw altered();
  }

  /** One of them as a whole. @throws OutOfRange for a larger one */
  async whole(name: string, most: number, sum?: string): Promise<Buffer> {
    const pieces: Buffer[] = [];
    let bytes = 0;
    for await (const piece of this.pieces(name, sum)) {
      bytes += piece.length;
      if (bytes > most) throw wrong(name, bytes, allow('allowed.most-bytes', { most }));
      pieces.push(piece);
    }
    return Buffer.concat(pieces);
  }

  /** One of them line by line. @throws OutOfRange for a longer line */
  async *lines(name: string, sum?: string): AsyncGenerator<string, void> {
    let left: Buffer[] = [];
    let bytes = 0;
    for await (const piece of this.pieces(name, sum)) {
      let from = 0;
      for (let at = piece.indexOf(10); at >= 0; at = piece.indexOf(10, from)) {
        yield Buffer.concat([...left, piece.subarray(from, at)]).toString('utf8');
        [left, bytes, from] = [[], 0, at + 1];
      }
      left.push(piece.subarray(from));
      bytes += piece.length - from;
      if (bytes > ARCHIVE_LIMITS.lineBytes)
        throw wrong(name, bytes, allow('allowed.most-bytes', { most: ARCHIVE_LIMITS.lineBytes }));
    }
    if (bytes > 0) yield Buffer.concat(left).toString('utf8');
  }
}
