import { type ShareWay, shareWays } from '#contract/devices';
import { ownTimeZone } from '#core/units/day';
import { type Db } from '#server/base/database/db';

/** What the data folder knows of itself. */
export class Folder {
  private readonly get;
  private readonly put;

  constructor(db: Db) {
    this.get = db.prepare<[string], string>('SELECT value FROM folder WHERE key = ?').pluck();
    this.put = db.prepare(
      'INSERT INTO folder (key, value) VALUES (?, ?) ON CONFLICT (key) DO UPDATE SET value = excluded.value',
    );
  }

  /** Its identity, 32 hex digits, made with it. */
  get id(): string {
    return this.get.get('id')!;
  }

  /** Whose days are counted: the server's own zone until somebody chooses. */
  get timeZone(): string {
    return this.get.get('time-zone') ?? ownTimeZone();
  }

  set timeZone(zone: string) {
    this.put.run('time-zone', zone);
  }

  /** Windows that the nursery set for itself, as JSON. */
  get windows(): string | undefined {
    return this.get.get('windows');
  }

  set windows(json: string) {
    this.put.run('windows', json);
  }

  /** How the nursery keeps what it fills, as JSON. */
  get keeping(): string | undefined {
    return this.get.get('keeping');
  }

  set keeping(json: string) {
    this.put.run('keeping', json);
  }

  /** What the season hangs on, as JSON. */
  get season(): string | undefined {
    return this.get.get('season');
  }

  set season(json: string) {
    this.put.run('season', json);
  }

  /** Odds of causes that the nursery set for itself, as JSON. */
  get odds(): string | undefined {
    return this.get.get('odds');
  }

  set odds(json: string) {
    this.put.run('odds', json);
  }

  /** Where a second copy of every backup goes; empty for nowhere. */
  get secondPlace(): string {
    return this.get.get('second-place') ?? '';
  }

  set secondPlace(folder: string) {
    this.put.run('second-place', folder);
  }

  /** How it is open to its own network. */
  get sharing(): ShareWay {
    return shareWays.find((way) => way === this.get.get('sharing')) ?? 'off';
  }

  set sharing(way: ShareWay) {
    this.put.run('sharing', way);
  }

  /** How cold a night is to be, as somebody typed it, as JSON. */
  get low(): string | undefined {
    return this.get.get('low');
  }

  set low(json: string) {
    this.put.run('low', json);
  }

  /** Plantings of before there was one book are in it. */
  get isOneBook(): boolean {
    return this.get.get('one-book') === '1';
  }

  set isOneBook(is: boolean) {
    this.put.run('one-book', is ? '1' : '0');
  }

  /** How many steps of the demo it holds; null where it is nobody's demo. */
  get demoSteps(): number | null {
    const steps = this.get.get('demo');
    return steps === undefined ? null : Number(steps);
  }

  set demoSteps(steps: number) {
    this.put.run('demo', String(steps));
  }
}

/** Of the machine that it comes from, not of the nursery: how it is open, and where its second copies go. */
const OF_THE_MACHINE = ['sharing', 'second-place'];

/** Forgets what belongs to the machine that a data file comes from. */
export function leaveMachineBehind(db: Db): void {
  if (db.prepare(`SELECT 1 FROM sqlite_master WHERE name = 'folder'`).get())
    for (const key of OF_THE_MACHINE) db.prepare('DELETE FROM folder WHERE key = ?').run(key);
}
