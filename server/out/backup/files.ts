import Database from 'better-sqlite3';
import { copyFileSync } from 'node:fs';
import { type Checked, lookAt, sha256 } from '#server/out/backup/checked';
import { settle } from '#server/base/database/copy';
import { type FaultMessage } from '#words/problem-facts';
import { type Db } from '#server/base/database/db';

/** What was looked at, with its SHA-256; why it is none otherwise. */
export type SealedFile =
  (Extract<Checked, { good: true }> & { sha256: string }) | { good: false; why: FaultMessage };

/** Work on whole files, that takes as long as they are large: it may be done in a thread beside the server. */
export interface FileWork {
  /** Copies an open database as it stands into one file. */
  snapshot: (db: Db, to: string) => Promise<void>;
  seal: (file: string) => Promise<SealedFile>;
  /** @throws Error where the copy is not the same */
  copyWhole: (from: string, to: string) => Promise<void>;
}

/** Makes a copy one file, that anybody can open and copy on: no journal beside it. */
function asOneFile(file: string): void {
  const copy = new Database(file);
  copy.pragma('journal_mode = DELETE');
  copy.close();
}

/** Copies a data file that is open elsewhere, in one step. @param from its path */
export async function snapshotOf(from: string, to: string): Promise<void> {
  const db = new Database(from, { readonly: true, fileMustExist: true });
  try {
    // All pages at once: who writes meanwhile would make it begin again.
    await db.backup(to, { progress: ({ remainingPages }) => Math.max(remainingPages, 1 << 30) });
  } finally {
    db.close();
  }
  asOneFile(to);
}

/** Looks at a file, puts it on the disk for good, and sums it. */
export function seal(file: string): SealedFile {
  const looked = lookAt(file);
  if (!looked.good) return looked;
  settle(file);
  return { ...looked, sha256: sha256(file) };
}

/** @throws Error where the copy is not the same */
export function copyWhole(from: string, to: string): void {
  copyFileSync(from, to);
  settle(to);
  if (sha256(to) !== sha256(from)) throw new Error('the copy is not the same');
}

/** In this thread; for a database in memory too. */
export const here: FileWork = {
  snapshot: async (db, to) => {
    await db.backup(to);
    asOneFile(to);
  },
  seal: (file) => Promise.resolve(seal(file)),
  copyWhole: async (from, to) => Promise.resolve(copyWhole(from, to)),
};
