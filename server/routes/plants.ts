import { type Stores } from '#server/kept/stores';
import { putAwayRoutes } from '#server/base/http/put-away';
import { Again, type Api } from '#server/base/http/serve';
import { type KeptPlantEvent } from '#contract/plants';
import { labelSize, labelSizes } from '#core/batch/label-sizes';
import { OutOfRange } from '#core/units/check';
import { type Heavy } from '#server/out/heavy/heavy';
import { addressFor } from '#server/base/http/address-for';
import { notFound } from '#server/base/http/problem';
import { type PlantGroups } from '#server/book/plants/groups';
import { plantLabel, trialLabels } from '#server/out/print/plant-labels';
import { type NurseryPlants } from '#server/book/plants/nursery-plants';
import { type PlantResults } from '#server/book/plants/results';
import { labelSheet, type LabelText } from '#server/out/print/labels';

/** Sooner than that it counts as entered when it came in. */
const JUST_NOW_MS = 2000;

/** When it was made by the clock here, whatever the device's clock says: as long before now as before it was sent. */
function madeAtHere(now: Date, madeAt: string | undefined, sentAt: string | undefined): string | null {
  if (madeAt === undefined || sentAt === undefined) return null;
  const age = Date.parse(sentAt) - Date.parse(madeAt);
  return age > JUST_NOW_MS ? new Date(now.getTime() - age).toISOString() : null;
}

/** What was sown, struck and potted, and what became of it. */
export function plantRoutes(
  api: Api,
  { plants: store, now }: Stores,
  plants: NurseryPlants,
  groups: PlantGroups,
  results: PlantResults,
  heavy: Heavy,
): void {
  /** What a key entered already. @throws OutOfRange where that was for another planting */
  const eventOf = (key: string, planting: number): KeptPlantEvent | null => {
    const known = store.eventByKey(key);
    if (known && known.planting !== planting)
      throw new OutOfRange('key', key, 'a key that no other planting has an entry under');
    return known && { id: known.id, at: known.at, event: known.event };
  };
  api.serve('plantings', ({ query: { finished, from } }) => plants.lines(store.page(finished, from)));
  api.serve('addPlanting', ({ body }) => {
    const known = store.byKey(body.key);
    if (known) return new Again(plants.lines([known])[0]!);
    return plants.add(body, now().toISOString());
  });
  api.serve('plantCare', () => plants.care());
  api.serve('plantGroups', ({ query: { by, crop } }) => groups.groups(by, crop ?? null));
  api.serve('taught', () => plants.taught());
  api.serve('takenUp', () => plants.takenUp());
  api.serve('tender', () => plants.tender());
  api.serve('plantResults', ({ query }) => results.of(query));
  api.serve('odds', () => results.odds);
  api.serve('setOdds', ({ body }) => (results.odds = body));
  const pdf = async (size: string | undefined, labels: readonly LabelText[]): Promise<Buffer> =>
    Buffer.from(await heavy.run('pdf', await labelSheet(labelSize(size ?? labelSizes[0]!.id), labels)));
  api.serve('plantLabels', ({ params: { id }, query: { units, size, count = 1 }, req }) => {
    const page = plants.page(id);
    const url = addressFor(req, `/plants/${id}`);
    const label = plantLabel(...plants.namesOf(page), page, units, url);
    return pdf(
      size,
      Array.from({ length: count }, () => label),
    );
  });
  api.serve('trialLabels', ({ params: { id }, query: { size }, req }) =>
    pdf(
      size,
      trialLabels(plants.trial(id), (planting) => addressFor(req, `/plants/${planting}`)),
    ),
  );
  api.serve('addPicture', ({ params: { id }, body }) => {
    const known = eventOf(body.key, id);
    return known ? new Again(known) : plants.addPicture(id, body, now().toISOString());
  });
  api.serve('picture', ({ params: { id } }) => {
    const jpeg = store.picture(id);
    if (!jpeg) throw notFound('picture', id);
    return jpeg;
  });
  api.serve('planting', ({ params }) => plants.page(params.id));
  api.serve('addPlantEvent', ({ params: { id }, body: { key, event, madeAt, sentAt } }) => {
    const known = eventOf(key, id);
    if (known) return new Again(known);
    const at = now();
    return plants.addEvent(id, key, event, at.toISOString(), madeAtHere(at, madeAt, sentAt));
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
