import { type Stores } from '#server/kept/stores';
import { putAwayRoutes } from '#server/base/http/put-away';
import { Again, type Api } from '#server/base/http/serve';

export function waterRoutes(api: Api, { waters, now }: Stores): void {
  api.serve('waters', () => waters.all());
  api.serve('keepWater', ({ body }) => {
    const existing = waters.byKey(body.key);
    return existing ? new Again(existing) : waters.add(body, now().toISOString());
  });
  putAwayRoutes(api, 'water', ['putAwayWater', 'restoreWater'], waters, now);
}
