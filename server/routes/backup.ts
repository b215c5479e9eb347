import { fault, problem } from '#words/problem-facts';
import { problemSaid } from '#words/problem-said';
import { readerOf } from '#server/base/http/reader';
import { allow } from '#core/units/allowed';
import { none } from '#core/units/message';
import { type Stores } from '#server/kept/stores';
import { createWriteStream, existsSync, statSync } from 'node:fs';
import { open, rename } from 'node:fs/promises';
import { isAbsolute } from 'node:path';
import { pipeline } from 'node:stream/promises';
import { type Heavy } from '#server/out/heavy/heavy';
import { type BackupFolder } from '#server/out/backup/backups';
import { OutOfRange } from '#core/units/check';
import { notFound, Problem } from '#server/base/http/problem';
import { type Api } from '#server/base/http/serve';

/** Puts a backup in place and opens the folder anew. @returns where the present was put aside */
export type Restore = (file: string) => Promise<string | null>;

/** What a database file begins with. */
const SQLITE = 'SQLite format 3\0';

async function headOf(path: string): Promise<string> {
  const file = await open(path);
  try {
    const { buffer, bytesRead } = await file.read(Buffer.alloc(SQLITE.length), 0, SQLITE.length, 0);
    return buffer.subarray(0, bytesRead).toString('latin1');
  } finally {
    await file.close();
  }
}

/** Backups: seen, made, fetched, put back. */
export function backupRoutes(
  api: Api,
  { folder }: Stores,
  backups: BackupFolder,
  heavy: Heavy,
  restore: Restore,
): void {
  let failure: Problem | null = null;
  const fileOf = (name: string): string => {
    const file = backups.fileOf(name);
    if (!file) throw notFound('backup', name);
    return file;
  };
  api.serve('backups', ({ req }) => ({
    ...{ list: backups.list(), now: backups.counts() },
    problem: failure ? problemSaid(failure.says, readerOf(req)).detail : '',
    ...{ secondPlace: folder.secondPlace, secondProblem: backups.secondProblem },
  }));
  api.serve('makeBackup', async () => {
    try {
      await backups.make('asked');
      failure = null;
    } catch (error) {
      const why = fault('fault.system', { says: (error as Error).message });
      failure = error instanceof Problem ? error : new Problem(507, problem('problem.no-backup', { why }));
      throw failure;
    }
  });
  api.serve('bringBackup', async ({ req }) => {
    // Straight to the disk, however large it is.
    const { path, gone } = await backups.aside('brought', (to) => pipeline(req, createWriteStream(to)));
    try {
      const head = await headOf(path);
      if (head === '') throw new OutOfRange('body', 'nothing', allow('allowed.a-file', none));
      return await backups.bring((to) =>
        head === SQLITE ? rename(path, to) : heavy.run('unpack', { archive: path, to }),
      );
    } finally {
      gone?.();
    }
  });
  api.serve('setSecondPlace', ({ body }) => {
    const place = body.folder;
    // Made by hand, so that a slip of the pen or a disk that is not in makes no folder somewhere else.
    if (place !== '' && !(isAbsolute(place) && existsSync(place) && statSync(place).isDirectory()))
      throw new OutOfRange('folder', place, allow('allowed.folder-there', none));
    folder.secondPlace = place;
  });
  api.serve('backupFile', ({ params: { name }, res }) => {
    const file = fileOf(name);
    res.attachment(name);
    return { path: file };
  });
  api.serve('restoreBackup', async ({ body: { name } }) => {
    const file = fileOf(name);
    const looked = await heavy.run('look', { file });
    if (!looked.good) throw new Problem(409, problem('problem.not-whole', { why: looked.why }));
    return { aside: await restore(file) };
  });
}
