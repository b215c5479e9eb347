import { type Nursery } from '#contract/nursery';
import { type Folder } from '#server/database/folder';
import { type Api } from '#server/http/serve';
import { type Calendar } from '#server/nursery/calendar';

export function nurseryRoutes(api: Api, folder: Folder, calendar: Calendar): void {
  const nursery = (): Nursery => ({ id: folder.id, timeZone: folder.timeZone, today: calendar.today() });
  api.serve('nursery', nursery);
  api.serve('setNursery', ({ body }) => {
    folder.timeZone = body.timeZone;
    return nursery();
  });
}
