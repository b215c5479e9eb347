import { type Stores } from '#server/kept/stores';
import { type KeepingAnswer } from '#contract/keeping';
import { type Nursery } from '#contract/nursery';
import { type Api } from '#server/base/http/serve';

export function nurseryRoutes(api: Api, { folder, calendar, windows, keepings }: Stores): void {
  const nursery = (): Nursery => ({ id: folder.id, timeZone: folder.timeZone, today: calendar.today() });
  api.serve('nursery', nursery);
  api.serve('setNursery', ({ body }) => {
    folder.timeZone = body.timeZone;
    return nursery();
  });
  const keeping = (): KeepingAnswer => ({
    ...{ usual: keepings.usual, isSet: keepings.isSet, mixes: keepings.mixes },
  });
  api.serve('keeping', keeping);
  api.serve('setKeeping', ({ body }) => {
    keepings.usual = body;
    return keeping();
  });
  api.serve('windows', () => windows.own);
  api.serve('setWindows', ({ body }) => (windows.own = body));
}
