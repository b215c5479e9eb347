import express, { type Express } from 'express';
import { backupFolder, backupsIn } from '#server/backup/backups';
import { counted, type Counts, lookAt } from '#server/backup/checked';
import { type Restore } from '#server/backup/routes';
import { onlyOwnHosts } from '#server/http/hosts';
import { escaped, plainPage } from '#server/http/plain-page';
import { Problem, problems } from '#server/http/problem';
import { securityHeaders } from '#server/http/security';
import { join } from 'node:path';

const countsSay = (counts: Counts): string =>
  (Object.entries(counted) as [keyof Counts, string][])
    .filter(([table]) => counts[table] > 0)
    .map(([table, name]) => `${counts[table]} ${name}`)
    .join(', ') || 'nothing in it yet';

/**
 * What stands in the place of everything where the data file cannot be read: nothing is filled in, nothing is changed;
 * one plain page says so and offers the backups that are whole, newest first.
 * @param why in words
 */
export function rescueApp(data: string, why: string, restore: Restore): Express {
  const app = express();
  app.disable('x-powered-by');
  app.use(securityHeaders());
  app.use(onlyOwnHosts(() => []));
  const place = backupFolder(data);
  const whole = () => backupsIn(place).filter(({ name }) => lookAt(join(place, name)).good);
  app.use('/api', () => {
    throw new Problem(503, 'Damaged', `the data file cannot be opened: ${why}. Open Welcome in a browser`);
  });
  app.post('/rescue', express.urlencoded({ extended: false, limit: '2kb' }), async (req, res) => {
    const { name } = (req.body ?? {}) as { name?: unknown };
    const found = whole().find((one) => one.name === name);
    if (!found) throw new Problem(404, 'Not found', 'there is no such whole backup');
    await restore(join(place, found.name));
    res.redirect(303, '/');
  });
  app.get('/{*path}', (_req, res) => {
    const rows = whole()
      .map(
        ({ name, at, counts }, i) => `<li><form method="post" action="/rescue">
<input type="hidden" name="name" value="${escaped(name)}">
<b>${escaped(at.slice(0, 16).replace('T', ', '))} UTC</b>: ${escaped(countsSay(counts))}
<button type="submit">Put ${i === 0 ? 'this newest one' : 'this one'} back</button></form></li>`,
      )
      .join('\n');
    const offer = rows
      ? `<h2>Backups that are whole</h2><ul>${rows}</ul>`
      : '<p><b>There is no whole backup in the folder.</b> If you have one elsewhere, stop Welcome and run <code>npm run restore -- file</code>.</p>';
    const page = `<h1>The data file cannot be read</h1>
<p>${escaped(why)}</p>
<p>Nothing was changed and nothing was filled in. The file lies in <code>${escaped(data)}</code>; putting a backup back moves it aside and keeps it.</p>
${offer}`;
    res
      .status(503)
      .type('html')
      .send(plainPage(res, 'Welcome: the data file cannot be read', page));
  });
  app.use(problems);
  return app;
}
