import { type Stores } from '#server/kept/stores';
import { archiveSchema } from '#server/out/archive/schema';
import { tablesOf } from '#server/out/archive/form';
import { type BackupFolder } from '#server/out/backup/backups';
import { type Heavy } from '#server/out/heavy/heavy';
import { type Api } from '#server/base/http/serve';

/** Everything in one archive of open forms, and what its lines look like. */
export function archiveRoutes(api: Api, { db, now }: Stores, backups: BackupFolder, heavy: Heavy): void {
  api.serve('archive', async ({ res }) => {
    const at = now().toISOString();
    res.attachment(`welcome-${at.slice(0, 10)}.zip`);
    // Beside the backups, where there is room for such; gone once it is sent.
    return backups.aside('archive', async (to) => {
      await backups.withSnapshot((file) => heavy.run('pack', { file, at, to }));
    });
  });
  const schema = archiveSchema(tablesOf(db)) as { $schema: string; $defs: Record<string, unknown> };
  api.serve('archiveSchema', () => schema);
}
