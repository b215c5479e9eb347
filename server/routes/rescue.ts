import { textsIn } from '#words/place';
import { readerOf } from '#server/base/http/reader';
import { rescuePage } from '#words/en/places/rescue-page';
import { type FaultMessage, problem } from '#words/problem-facts';
import { faultSaid } from '#words/problem-said';
import { none } from '#core/units/message';
import express, { type Express } from 'express';
import { countsSay } from '#words/backup-counts';
import { backupFolder, backupsIn } from '#server/out/backup/backups';
import { lookAt } from '#server/out/backup/checked';
import { type Restore } from '#server/routes/backup';
import { onlyOwnHosts } from '#server/base/http/hosts';
import { escaped, plainPage } from '#server/base/http/plain-page';
import { Problem, problems } from '#server/base/http/problem';
import { securityHeaders } from '#server/base/http/security';
import { join } from 'node:path';

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** Codes of a folder, or a disk, that takes nothing. */
export const CANNOT_WRITE = /^(SQLITE_(READONLY|CANTOPEN|FULL|PERM|IOERR_WRITE)|EACCES|EROFS|ENOSPC)/;

/**
 * What stands in the place of everything where the data file cannot be read: nothing is filled in, nothing is changed;
 * one plain page says so and offers the backups that are whole, newest first.
 * @param cannotWrite the file may be whole: it is the folder, or the disk, that takes nothing
 */
export function rescueApp(data: string, why: FaultMessage, restore: Restore, cannotWrite = false): Express {
  const app = express();
  app.disable('x-powered-by');
  app.use(securityHeaders());
  app.use(onlyOwnHosts(() => []));
  const place = backupFolder(data);
  const whole = () => backupsIn(place).filter(({ name }) => lookAt(join(place, name)).good);
  app.use('/api', () => {
    throw new Problem(503, problem('problem.cannot-open', { why }));
  });
  app.post('/rescue', express.urlencoded({ extended: false, limit: '2kb' }), async (req, res) => {
    const { name } = (req.body ?? {}) as { name?: unknown };
    const found = whole().find((backupMade) => backupMade.name === name);
    if (!found) throw new Problem(404, problem('problem.no-whole-backup', none));
    await restore(join(place, found.name));
    res.redirect(303, '/');
  });
  app.get('/{*path}', (req, res) => {
    const reader = readerOf(req);
    const texts = textsIn(rescuePage, reader.language);
    const rows = whole()
      .map(
        ({ name, at, counts }, i) => `<li><form method="post" action="/rescue">
<input type="hidden" name="name" value="${escaped(name)}">
<b>${escaped(at.slice(0, 16).replace('T', ', '))} UTC</b>: ${escaped(countsSay(counts, reader.language) || texts.nothingInIt)}
<button type="submit">${i === 0 ? texts.putBackNewest : texts.putBack}</button></form></li>`,
      )
      .join('\n');
    const offer = rows
      ? `<h2>${texts.wholeBackups}</h2><ul>${rows}</ul>`
      : `<p><b>${texts.none}</b> ${texts.elsewhere} <code>npm run restore -- file</code>.</p>`;
    const heading = cannotWrite ? texts.cannotWrite : texts.cannotRead;
    const page = `<h1>${heading}</h1>
<p>${escaped(capital(faultSaid(why, reader)))}</p>
${cannotWrite ? `<p><b>${texts.makeRoom}</b> ${texts.stillThere}</p>` : ''}
<p>${texts.nothingChanged} <code>${escaped(data)}</code>; ${texts.movesItAside}</p>
${offer}`;
    res
      .status(503)
      .type('html')
      .send(plainPage(res, reader.language, texts.title(heading.toLowerCase()), page));
  });
  app.use(problems);
  return app;
}
