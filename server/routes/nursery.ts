import { type Nursery } from '#contract/nursery';
import { type Folder } from '#server/base/database/folder';
import { type Api } from '#server/base/http/serve';
import { type Calendar } from '#server/kept/nursery/calendar';
import { type Windows } from '#server/kept/nursery/windows';

export function nurseryRoutes(api: Api, folder: Folder, calendar: Calendar, windows: Windows): void {
  const nursery = (): Nursery => ({ id: folder.id, timeZone: folder.timeZone, today: calendar.today() });
  api.serve('nursery', nursery);
  api.serve('setNursery', ({ body }) => {
    folder.timeZone = body.timeZone;
    return nursery();
  });
  api.serve('windows', () => windows.own);
  api.serve('setWindows', ({ body }) => (windows.own = body));
}
