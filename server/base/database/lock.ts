import Database from 'better-sqlite3';
import { mkdirSync } from 'node:fs';
import { join } from 'node:path';

/**
 * Holds a data folder for this process. The system lets go of it when the process ends, however it ends.
 * @returns how to let go
 * @throws Error when another process holds it
 */
export function holdFolder(folder: string): () => void {
  mkdirSync(folder, { recursive: true });
  const lock = new Database(join(folder, 'in-use.sqlite'), { timeout: 200 });
  try {
    lock.pragma('locking_mode = EXCLUSIVE');
    lock.exec('BEGIN EXCLUSIVE');
  } catch {
    lock.close();
    throw new Error(
      `the data folder ${folder} is in use by another Welcome. Stop that one, or choose another folder: WELCOME_DATA=…`,
    );
  }
  return () => lock.close();
}
