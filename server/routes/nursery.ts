import { type Stores } from '#server/kept/stores';
import { type Nursery } from '#contract/nursery';
import { type Api } from '#server/base/http/serve';

export function nurseryRoutes(api: Api, { folder, calendar, windows }: Stores): void {
  const nursery = (): Nursery => ({ id: folder.id, timeZone: folder.timeZone, today: calendar.today() });
  api.serve('nursery', nursery);
  api.serve('setNursery', ({ body }) => {
    folder.timeZone = body.timeZone;
    return nursery();
  });
  api.serve('windows', () => windows.own);
  api.serve('setWindows', ({ body }) => (windows.own = body));
}
