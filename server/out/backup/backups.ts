import Database from 'better-sqlite3';
import { randomUUID } from 'node:crypto';
import {
  copyFileSync,
  existsSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import { join } from 'node:path';
import { type Counts, countsOf } from '#server/out/backup/checked';
import { type FileWork, here, type SealedFile } from '#server/out/backup/files';
import { kept } from '#server/out/backup/keeping';
import { type SentFile } from '#server/base/http/serve';
import { fault, problem } from '#words/problem-facts';
import { Problem } from '#server/base/http/problem';
import { type Db } from '#server/base/database/db';
import { type Folder, leaveMachineBehind } from '#server/base/database/folder';

export type BackupReason = 'daily' | 'asked' | 'brought';

export interface BackupMade {
  /** Of the file, without its folder. */
  name: string;
  /** ISO 8601, UTC. */
  at: string;
  why: BackupReason;
  bytes: number;
  counts: Counts;
}

const FOLDER = 'backups';
/** So many of those brought from elsewhere are kept, and of those that were asked for. */
const MOST_BROUGHT = 3;
const MOST_ASKED = 10;
const DAY_MS = 86_400_000;
const PART = '.part';
const NAME = /^welcome-(\d{4}-\d{2}-\d{2})T(\d{2})-(\d{2})-(\d{2})-(\d{3})Z-(daily|asked|brought)\.sqlite$/;

export const backupFolder = (data: string): string => join(data, FOLDER);

/** When and why one was made, by its name; null for another file. */
function readName(name: string): { at: string; why: BackupReason } | null {
  const found = NAME.exec(name);
  if (!found) return null;
  const [, day, hour, minute, second, ms, why] = found;
  return { at: `${day}T${hour}:${minute}:${second}.${ms}Z`, why: why as BackupReason };
}

/** Whole backups of a folder, newest first; what was begun and not finished is none. */
export function backupsIn(folder: string): BackupMade[] {
  if (!existsSync(folder)) return [];
  return readdirSync(folder)
    .flatMap((name): BackupMade[] => {
      const read = readName(name);
      const beside = join(folder, `${name}.json`);
      if (!read || !existsSync(beside)) return [];
      try {
        const { counts } = JSON.parse(readFileSync(beside, 'utf8')) as { counts: Counts };
        return [{ ...read, name, bytes: statSync(join(folder, name)).size, counts }];
      } catch {
        return [];
      }
    })
    .sort((a, b) => (a.at < b.at ? 1 : a.at > b.at ? -1 : 0));
}

/** Online snapshots by the database's own backup: written aside, checked, and only then given their name. */
export class BackupFolder {
  private making: Promise<BackupMade> | null = null;
  /** Paths that are being written at this moment. */
  private readonly writing = new Set<string>();
  /** Why the second place does not have the newest, in words; empty where it does or there is none. */
  secondProblem = '';

  constructor(
    private readonly db: Db,
    private readonly data: string,
    private readonly folder: Folder,
    private readonly now: () => Date,
    private readonly work: FileWork = here,
  ) {}

  get place(): string {
    return backupFolder(this.data);
  }

  list(): BackupMade[] {
    return backupsIn(this.place);
  }

  /** What the nursery holds now. */
  counts(): Counts {
    return countsOf(this.db);
  }

  /** Path of one by its name. @returns null for a name that is none, or a file that is not there */
  fileOf(name: string): string | null {
    const file = join(this.place, name);
    return readName(name) && existsSync(file) ? file : null;
  }

  /**
   * One after the other: who asks while one is under way gets one that holds what has been entered by now.
   * @throws Error in words where it is not whole
   */
  make(why: BackupReason): Promise<BackupMade> {
    const before = this.making?.catch(() => null) ?? Promise.resolve();
    const made = before.then(() => this.write(why));
    this.making = made;
    return made;
  }

  /** One a day, from the first look of the day on. @returns null where today has one */
  async daily(): Promise<BackupMade | null> {
    const today = this.now().toISOString().slice(0, 10);
    const made = this.list().some(({ at, why }) => why === 'daily' && at.startsWith(today));
    return made ? null : this.make('daily');
  }

  private async write(why: BackupReason): Promise<BackupMade> {
    const { name, at, part } = this.begin(why);
    try {
      return await this.writeTo(part, name, at, why);
    } finally {
      this.writing.delete(part);
    }
  }

  private async writeTo(part: string, name: string, at: string, why: BackupReason): Promise<BackupMade> {
    const before = this.counts();
    await this.work.snapshot(this.db, part);
    const after = this.counts();
    const looked = await this.work.seal(part);
    const off = looked.good
      ? Object.entries(looked.counts).find(([table, count]) => {
          const [low, high] = [before[table as keyof Counts], after[table as keyof Counts]];
          return count < low || count > high;
        })
      : null;
    if (!looked.good || off) {
      rmSync(part, { force: true });
      const why = looked.good ? fault('fault.other-rows', { table: off![0], rows: off![1] }) : looked.why;
      throw new Problem(507, problem('problem.no-backup', { why }));
    }
    return await this.finish(name, at, why, looked);
  }

  /**
   * Lays one from elsewhere beside the others: checked, not put back.
   * @param write writes it to a path
   * @throws OutOfRange in words where it is no whole data file of Welcome
   */
  async bring(write: (to: string) => Promise<void>): Promise<BackupMade> {
    const { name, at, part } = this.begin('brought');
    try {
      await write(part);
      this.leaveMachineBehind(part);
      const looked = await this.work.seal(part);
      if (!looked.good) throw new Problem(400, problem('problem.none-of-welcome', { why: looked.why }));
      return await this.finish(name, at, 'brought', looked);
    } catch (error) {
      rmSync(part, { force: true });
      throw error;
    } finally {
      this.writing.delete(part);
    }
  }

  /** How a machine is open, and where its second copies go, does not come along. A file that is none is told of later. */
  private leaveMachineBehind(file: string): void {
    try {
      const db = new Database(file, { fileMustExist: true });
      try {
        leaveMachineBehind(db);
        db.pragma('journal_mode = DELETE');
      } finally {
        db.close();
      }
    } catch (error) {
      if (!/not a database|malformed|disk image/.test((error as Error).message)) throw error;
    }
  }

  /** A copy as it stands, for one use: it is gone afterwards. */
  async withSnapshot<T>(use: (file: string) => Promise<T>): Promise<T> {
    mkdirSync(this.place, { recursive: true });
    const file = join(this.place, `snapshot-${randomUUID()}${PART}`);
    this.writing.add(file);
    try {
      await this.work.snapshot(this.db, file);
      return await use(file);
    } finally {
      this.writing.delete(file);
      rmSync(file, { force: true });
    }
  }

  /**
   * A file that is written beside the backups to be sent, and is gone afterwards.
   * @param write writes it to a path
   */
  async aside(what: string, write: (to: string) => Promise<void>): Promise<SentFile> {
    mkdirSync(this.place, { recursive: true });
    const path = join(this.place, `${what}-${randomUUID()}${PART}`);
    const gone = (): void => {
      this.writing.delete(path);
      rmSync(path, { force: true });
    };
    this.writing.add(path);
    try {
      await write(path);
      return { path, gone };
    } catch (error) {
      gone();
      throw error;
    }
  }

  private begin(why: BackupReason): { name: string; at: string; part: string } {
    mkdirSync(this.place, { recursive: true });
    for (const left of readdirSync(this.place).filter((name) => name.endsWith(PART))) {
      const path = join(this.place, left);
      // What is just being written stays.
      if (!this.writing.has(path)) rmSync(path);
    }
    const at = this.now().toISOString();
    const name = `welcome-${at.replaceAll(':', '-').replace('.', '-')}-${why}.sqlite`;
    const part = join(this.place, `${name}${PART}`);
    this.writing.add(part);
    return { name, at, part };
  }

  /** What was checked gets its name, and its note beside it. */
  private async finish(
    name: string,
    at: string,
    why: BackupReason,
    { counts, sha256 }: Extract<SealedFile, { good: true }>,
  ): Promise<BackupMade> {
    const file = join(this.place, name);
    writeFileSync(`${file}.json`, JSON.stringify({ counts, sha256 }));
    renameSync(`${file}${PART}`, file);
    this.clear(this.place, name);
    if (why !== 'brought') await this.copyAway(name);
    return { name, at, why, bytes: statSync(file).size, counts };
  }

  /**
   * Keeps what the rules keep, each kind by its own, and its note beside it. Whatever the clock says, nothing that is
   * younger than a day goes, and never the one just made.
   */
  private clear(place: string, made: string): void {
    const all = backupsIn(place);
    const of = (kind: BackupReason): BackupMade[] => all.filter(({ why }) => why === kind);
    const days = kept(of('daily').map(({ at }) => new Date(at))).map((at) => at.toISOString());
    const keep = new Set([
      ...of('daily').flatMap(({ name, at }) => (days.includes(at) ? [name] : [])),
      ...[...of('asked').slice(0, MOST_ASKED), ...of('brought').slice(0, MOST_BROUGHT)].map(
        ({ name }) => name,
      ),
    ]);
    const yesterday = this.now().getTime() - DAY_MS;
    for (const { name, at } of all)
      if (!keep.has(name) && name !== made && Date.parse(at) <= yesterday) {
        rmSync(join(place, name), { force: true });
        rmSync(join(place, `${name}.json`), { force: true });
      }
  }

  /** A second place of the user's choice, as another disk: what fails there is said, and loses nothing here. */
  private async copyAway(name: string): Promise<void> {
    const second = this.folder.secondPlace;
    this.secondProblem = '';
    if (!second) return;
    try {
      const [from, to] = [join(this.place, name), join(second, name)];
      await this.work.copyWhole(from, `${to}${PART}`);
      copyFileSync(`${from}.json`, `${to}.json`);
      renameSync(`${to}${PART}`, to);
      this.clear(second, name);
    } catch (error) {
      this.secondProblem = (error as Error).message;
    }
  }
}
