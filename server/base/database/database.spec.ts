import { existsSync, mkdtempSync, rmSync, writeFileSync, cpSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { holdFolder } from '#server/base/database/lock';
import { openDatabase } from '#server/base/database/open';

let folder: string;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'welcome-'));
});
afterEach(() => {
  rmSync(folder, { recursive: true, force: true });
});

test('opens in WAL with foreign keys and full sync', () => {
  const db = openDatabase(folder);
  expect(db.pragma('journal_mode', { simple: true })).toBe('wal');
  expect(db.pragma('foreign_keys', { simple: true })).toBe(1);
  expect(db.pragma('synchronous', { simple: true })).toBe(2);
  expect(() =>
    db.prepare("INSERT INTO mix_versions VALUES (1, 99, 1, '{}', 'now', NULL, NULL, '')").run(),
  ).toThrow('FOREIGN KEY');
  db.close();
});

test('an upgrade is preceded by a backup, and a failed one changes nothing', () => {
  const migrations = join(folder, 'migrations');
  cpSync('server/base/database/migrations', migrations, { recursive: true });
  const data = join(folder, 'data');
  const first = openDatabase(data, migrations);
  first.prepare("INSERT INTO mixes (name, created_at) VALUES ('kept', 'now')").run();
  const at = first.pragma('user_version', { simple: true }) as number;
  first.close();
  const next = String(at + 1).padStart(3, '0');

  writeFileSync(join(migrations, `${next}-broken.sql`), 'CREATE TABLE half (id INTEGER); CREATE TABEL oops;');
  expect(() => openDatabase(data, migrations)).toThrow('syntax error');
  rmSync(join(migrations, `${next}-broken.sql`));
  writeFileSync(join(migrations, `${next}-more.sql`), 'CREATE TABLE more (id INTEGER);');
  const upgraded = openDatabase(data, migrations);
  const tables = upgraded
    .prepare("SELECT name FROM sqlite_master WHERE name IN ('half', 'more')")
    .pluck()
    .all();
  expect(tables).toEqual(['more']);
  expect(upgraded.prepare('SELECT name FROM mixes').pluck().all()).toEqual(['kept']);
  upgraded.close();
  expect(existsSync(join(data, `backup-schema-${String(at).padStart(3, '0')}.sqlite`))).toBe(true);

  expect(() => openDatabase(data)).toThrow(`newer Welcome (schema ${at + 1}; this one knows ${at})`);
});

test('a folder that another process holds is refused in plain words, and free once that has ended', () => {
  const folder = mkdtempSync(join(tmpdir(), 'welcome-lock-'));
  const letGo = holdFolder(folder);
  expect(() => holdFolder(folder)).toThrow('is in use by another Welcome');
  letGo();
  holdFolder(folder)();
  rmSync(folder, { recursive: true });
});
