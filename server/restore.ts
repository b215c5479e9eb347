// npm run restore -- file: puts a backup or an archive in the place of the data folder's file; npm run restore alone lists them.
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { countsSay, missingIn } from '#words/backup-counts';
import { restore } from '#words/en/places/restore';
import { textsIn } from '#words/place';
import { faultSaid, problemSaid } from '#words/problem-said';
import { languageOf, type Reader } from '#words/reader';
import { OutOfRange } from '#core/units/check';
import { Problem, problemOf } from '#server/base/http/problem';
import { unpack } from '#server/out/archive/unpack';
import { backupFolder, backupsIn } from '#server/out/backup/backups';
import { lookAt } from '#server/out/backup/checked';
import { dataFile, restoreInto } from '#server/out/backup/restore';
import { holdFolder } from '#server/base/database/lock';

// For this user alone, as the server writes it.
process.umask(0o077);

/** Who runs it, by the language of the machine. */
const reader: Reader = { language: languageOf(process.env['LANG']), units: 'metric' };

const whySaid = (error: unknown): string =>
  error instanceof OutOfRange || error instanceof Problem
    ? problemSaid(problemOf(error).says, reader).detail
    : (error as Error).message;

/** An archive as a data file, beside nothing of the folder. */
async function unpacked(archive: string): Promise<string> {
  const to = join(mkdtempSync(join(tmpdir(), 'welcome-archive-')), 'welcome.sqlite');
  await unpack({ archive, to });
  return to;
}

const texts = textsIn(restore, reader.language);
const data = process.env['WELCOME_DATA'] ?? './data';
const [given] = process.argv.slice(2);
if (!given) {
  const all = backupsIn(backupFolder(data));
  for (const { name, counts } of all)
    console.log(
      `${join(backupFolder(data), name)}\n  ${countsSay(counts, reader.language) || texts.nothingYet}`,
    );
  console.log(all.length > 0 ? `\n${texts.putOneBack}` : texts.noneIn(data));
} else {
  try {
    const letGo = holdFolder(data);
    const file = given.endsWith('.zip') ? await unpacked(resolve(given)) : resolve(given);
    const looked = lookAt(file);
    if (!looked.good) throw new Error(faultSaid(looked.why, reader));
    console.log(texts.holds(countsSay(looked.counts, reader.language) || texts.nothingYet));
    const present = lookAt(dataFile(data));
    if (present.good)
      console.log(missingIn(present.counts, looked.counts, reader.language) || texts.nothingMissing);
    const aside = restoreInto(data, file, new Date());
    letGo();
    console.log([texts.inPlace(data), ...(aside ? [texts.keptIn(aside)] : []), texts.start].join(' '));
  } catch (error) {
    console.error(texts.unchanged(whySaid(error)));
    process.exit(1);
  }
}
