import { putAwayRoutes } from '#server/http/put-away';
import { Again, type Api } from '#server/http/serve';
import { OutOfRange } from '#core/units/check';
import { type NurseryPlants } from '#server/plants/nursery-plants';
import { type PlantStore } from '#server/plants/store';

/** What was sown, struck and potted, and what became of it. */
export function plantRoutes(api: Api, store: PlantStore, plants: NurseryPlants, now: () => Date): void {
  api.serve('plantings', ({ query: { finished, from } }) => plants.lines(store.page(finished, from)));
  api.serve('addPlanting', ({ body }) => {
    const known = store.byKey(body.key);
    if (known) return new Again(plants.lines([known])[0]!);
    return plants.add(body, now().toISOString());
  });
  api.serve('plantCare', () => plants.care());
  api.serve('plantGroups', ({ query: { by, crop } }) => plants.groups(by, crop ?? null));
  api.serve('taught', () => plants.taught());
  api.serve('planting', ({ params }) => plants.page(params.id));
  api.serve('addPlantEvent', ({ params: { id }, body: { key, event } }) => {
    const known = store.eventByKey(key);
    if (known && known.planting !== id)
      throw new OutOfRange('key', key, 'a key that no other planting has an entry under');
    if (known) return new Again({ id: known.id, at: known.at, event: known.event });
    return plants.addEvent(id, key, event, now().toISOString());
  });
  const putAway = (id: number, at: string | null): boolean => plants.putAway(id, at, now().toISOString());
  putAwayRoutes(api, 'planting', ['putAwayPlanting', 'restorePlanting'], { putAway }, now);
  api.serve('trials', () => store.trials());
  api.serve('addTrial', ({ body }) => {
    const known = store.trialByKey(body.key);
    if (known) return new Again(plants.trial(known.id));
    return plants.addTrial(body, now().toISOString());
  });
  api.serve('trial', ({ params }) => plants.trial(params.id));
}
