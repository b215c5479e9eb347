import { type Stores } from '#server/kept/stores';
import { putAwayRoutes } from '#server/base/http/put-away';
import { Again, type Api } from '#server/base/http/serve';

export function measureRoutes(api: Api, { measures, now }: Stores): void {
  api.serve('measures', () => measures.all());
  api.serve('keepMeasure', ({ body }) => {
    const existing = measures.byKey(body.key);
    return existing ? new Again(existing) : measures.add(body, now().toISOString());
  });
  putAwayRoutes(api, 'measure', ['putAwayMeasure', 'restoreMeasure'], measures, now);
}
