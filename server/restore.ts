// npm run restore -- file: puts a backup or an archive in the place of the data folder's file; npm run restore alone lists them.
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { countsSay, missingIn } from '#contract/backup-words';
import { unpack } from '#server/out/archive/unpack';
import { backupFolder, backupsIn } from '#server/out/backup/backups';
import { lookAt } from '#server/out/backup/checked';
import { dataFile, restoreInto } from '#server/out/backup/restore';
import { holdFolder } from '#server/base/database/lock';

// For this user alone, as the server writes it.
process.umask(0o077);

/** An archive as a data file, beside nothing of the folder. */
async function unpacked(archive: string): Promise<string> {
  const to = join(mkdtempSync(join(tmpdir(), 'welcome-archive-')), 'welcome.sqlite');
  await unpack({ archive, to });
  return to;
}

const data = process.env['WELCOME_DATA'] ?? './data';
const [given] = process.argv.slice(2);
if (!given) {
  const all = backupsIn(backupFolder(data));
  for (const { name, counts } of all)
    console.log(`${join(backupFolder(data), name)}\n  ${countsSay(counts) || 'nothing yet'}`);
  console.log(all.length > 0 ? '\nPut one back: npm run restore -- file' : `No backup lies in ${data}.`);
} else {
  try {
    const letGo = holdFolder(data);
    const file = given.endsWith('.zip') ? await unpacked(resolve(given)) : resolve(given);
    const looked = lookAt(file);
    if (!looked.good) throw new Error(looked.why);
    console.log(`It holds ${countsSay(looked.counts) || 'nothing yet'}.`);
    const present = lookAt(dataFile(data));
    if (present.good)
      console.log(missingIn(present.counts, looked.counts) || 'Nothing that is there now is missing in it.');
    const aside = restoreInto(data, file, new Date());
    letGo();
    console.log(
      `It is in place in ${data}.${aside ? ` What was there is kept in ${aside}.` : ''} Start Welcome.`,
    );
  } catch (error) {
    console.error(`Nothing was changed: ${(error as Error).message}`);
    process.exit(1);
  }
}
