import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

function* files(folder: string): Generator<string> {
  for (const dirent of readdirSync(folder, { withFileTypes: true })) {
    const path = join(folder, dirent.name);
    if (dirent.isDirectory()) yield* files(path);
    else if (/\.ts$/.test(dirent.name) && !/\.spec\.ts$/.test(dirent.name)) yield path;
  }
}

test('a name means one thing: no two rooms export a type of the same name', () => {
  const rooms = new Map<string, string[]>();
  for (const room of ['core', 'contract', 'words', 'server', 'web/src/app'])
    for (const file of files(room))
      for (const [, name] of readFileSync(file, 'utf8').matchAll(
        /^export (?:abstract )?(?:interface|type|class|enum) (\w+)/gm,
      ))
        rooms.set(name!, [...(rooms.get(name!) ?? []), file]);
  expect(rooms.size).toBeGreaterThan(500);
  expect([...rooms].filter(([, where]) => where.length > 1)).toEqual([]);
});
