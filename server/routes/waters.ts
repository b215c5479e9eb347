import { putAwayRoutes } from '#server/base/http/put-away';
import { Again, type Api } from '#server/base/http/serve';
import { type WaterStore } from '#server/kept/waters';

export function waterRoutes(api: Api, waters: WaterStore, now: () => Date): void {
  api.serve('waters', () => waters.all());
  api.serve('keepWater', ({ body }) => {
    const known = waters.byKey(body.key);
    return known ? new Again(known) : waters.add(body, now().toISOString());
  });
  putAwayRoutes(api, 'water', ['putAwayWater', 'restoreWater'], waters, now);
}
