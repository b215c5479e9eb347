import { fault, type FaultMessage, problem } from '#words/problem-facts';
import { none } from '#core/units/message';
import { existsSync, statSync } from 'node:fs';
import { type RequestListener, type ServerResponse } from 'node:http';
import { type Logger } from 'pino';
import { createApp } from '#server/routes/app';
import { backupFolder, BackupFolder, backupsIn } from '#server/out/backup/backups';
import { CANNOT_WRITE, rescueApp } from '#server/routes/rescue';
import { dataFile, finishRestore, putInPlace } from '#server/out/backup/restore';
import { type Db } from '#server/base/database/db';
import { Folder } from '#server/base/database/folder';
import { openDatabase } from '#server/base/database/open';
import { type ShareWay } from '#contract/devices';
import { type Sharing } from '#server/out/door/sharing';
import { DeviceStore } from '#server/kept/devices';
import { seedDemo } from '#server/out/demo/seed';
import { type Heavy } from '#server/out/heavy/heavy';
import { Problem } from '#server/base/http/problem';
import { type InstrumentHub } from '#server/base/instruments/hub';
import { Ledger } from '#server/book/tub/ledger';
import { Tubs } from '#server/book/tub/tubs';
import { storesOf } from '#server/kept/stores';
import { LibraryStore } from '#server/kept/library/library';
import { CropStore } from '#server/kept/season/crops';

/** The answer to who asked for a restore is away by then. */
const CUT_MS = 500;

export interface Around {
  data: string;
  webFolder: string;
  log: Logger;
  now: () => Date;
  instruments: InstrumentHub;
  heavy: Heavy;
  sharing: Sharing;
  /** Whether an empty folder gets the demo. */
  demo: boolean;
}

/** The data file is none that can be opened. */
class CannotOpen extends Error {
  constructor(readonly why: FaultMessage) {
    super(why.say);
  }
}

/** @throws CannotOpen for a file that is there and is no whole database: nothing is written to it */
function openWhole({ data, now }: Around): Db {
  finishRestore(data, now());
  const file = dataFile(data);
  // An empty file is a lost one, not a new one.
  if (existsSync(file) && statSync(file).size === 0) throw new CannotOpen(fault('fault.empty', none));
  // So is one that is not there while backups of it are.
  if (!existsSync(file) && backupsIn(backupFolder(data)).length > 0)
    throw new CannotOpen(fault('fault.with-backups', none));
  const db = openDatabase(data);
  const [first] = db.pragma('quick_check(1)') as { quick_check: string }[];
  if (first?.quick_check === 'ok') return db;
  db.close();
  throw new CannotOpen(fault('fault.damaged', { says: first?.quick_check ?? null }));
}

/** The data folder as it is served: opened, or in need of rescue; a restore opens it anew, under the same port. */
export class OpenedNursery {
  private db: Db | null = null;
  private serving: RequestListener;
  /** null while the folder needs rescue. */
  backups: BackupFolder | null = null;
  /** Who may come in from the network; null while the folder needs rescue. */
  devices: DeviceStore | null = null;

  /** One at a time: each prepares what is to come in the same place. */
  private restoring = false;

  /** What is being answered. */
  private readonly answering = new Set<ServerResponse>();

  constructor(private readonly around: Around) {
    this.serving = this.open();
  }

  readonly listener: RequestListener = (req, res) => {
    this.answering.add(res);
    res.once('close', () => this.answering.delete(res));
    this.serving(req, res);
  };

  close(): void {
    this.db?.close();
    this.db = null;
    this.backups = null;
    this.devices = null;
  }

  /** How the folder says that it is open to its network. */
  get shareWay(): ShareWay {
    return this.db ? new Folder(this.db).sharing : 'off';
  }

  private open(): RequestListener {
    const { around } = this;
    const restore = (file: string): Promise<string | null> => this.restore(file);
    try {
      const db = openWhole(around);
      this.db = db;
      new LibraryStore(db).refreshStarter();
      new CropStore(db).refreshStarter();
      const stores = storesOf(db, around.now);
      new Ledger(stores, new Tubs(stores)).reckonEarlier(around.now().toISOString());
      if (around.demo) seedDemo(db, around.now());
      const { heavy } = around;
      this.backups = new BackupFolder(db, around.data, new Folder(db), around.now, {
        snapshot: (from, to) => heavy.run('snapshot', { from: from.name, to }),
        seal: (file) => heavy.run('seal', { file }),
        copyWhole: (from, to) => heavy.run('copyWhole', { from, to }),
      });
      this.devices = new DeviceStore(db);
      return createApp({ ...around, db, backups: this.backups, restore });
    } catch (error) {
      this.close();
      const why = error instanceof Error ? error.message : String(error);
      // A newer folder is whole: an older Welcome must leave it alone.
      if (/newer Welcome/.test(why)) throw error;
      around.log.error(error);
      const { code = '' } = (error ?? {}) as { code?: string };
      const says = error instanceof CannotOpen ? error.why : fault('fault.system', { says: why });
      return rescueApp(around.data, says, restore, CANNOT_WRITE.test(code));
    }
  }

  private async restore(file: string): Promise<string | null> {
    const { data, heavy } = this.around;
    if (this.restoring) throw new Problem(409, problem('problem.under-way', none));
    this.restoring = true;
    try {
      await heavy.run('prepare', { data, backup: file });
      return this.exchange(data);
    } finally {
      this.restoring = false;
    }
  }

  /** What was prepared takes the place of what is there, and is served. */
  private exchange(data: string): string | null {
    // What still hangs on the old database by then is ended: streams above all.
    const old = [...this.answering];
    setTimeout(() => {
      for (const res of old) if (!res.closed) res.destroy();
    }, CUT_MS);
    this.close();
    try {
      return putInPlace(data, this.around.now());
    } finally {
      // Whatever became of it, what is there is served.
      this.serving = this.open();
    }
  }
}
