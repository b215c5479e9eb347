import { type Db } from '#server/database/db';

/** A whole copy of the database in one file, as it stands. @throws Error when the file is there already */
export function backUp(db: Db, file: string): void {
  db.prepare('VACUUM INTO ?').run(file);
}
