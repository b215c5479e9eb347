import { putAwayRoutes } from '#server/http/put-away';
import { Again, type Api } from '#server/http/serve';
import { type WaterStore } from '#server/waters/store';

export function waterRoutes(api: Api, waters: WaterStore, now: () => Date): void {
  api.serve('waters', () => waters.all());
  api.serve('keepWater', ({ body }) => {
    const known = waters.byKey(body.key);
    return known ? new Again(known) : waters.add(body, now().toISOString());
  });
  putAwayRoutes(api, 'water', ['putAwayWater', 'restoreWater'], waters, now);
}
