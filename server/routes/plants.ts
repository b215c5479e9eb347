import { allow } from '#core/units/allowed';
import { none } from '#core/units/message';
import { type Stores } from '#server/kept/stores';
import { putAwayRoutes } from '#server/base/http/put-away';
import { Again, type Api } from '#server/base/http/serve';
import { type KeptPlantEvent } from '#contract/plants';
import { labelSize, labelSizes } from '#core/batch/label-sizes';
import { OutOfRange } from '#core/units/check';
import { type Heavy } from '#server/out/heavy/heavy';
import { addressFor } from '#server/base/http/address-for';
import { type Language } from '#words/reader';
import { readerOf } from '#server/base/http/reader';
import { notFound } from '#server/base/http/problem';
import { type PlantGroups } from '#server/book/plants/groups';
import { plantLabel, trialLabels } from '#server/out/print/plant-labels';
import { type PlantLessons } from '#server/book/plants/lessons';
import { type PlantEntries } from '#server/book/plants/plant-entries';
import { type PlantStates } from '#server/book/plants/plant-states';
import { type PlantingPages } from '#server/book/plants/planting-page';
import { type Trials } from '#server/book/plants/trials';
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

/** What is reckoned of plants, and what enters it. */
export interface PlantBook {
  states: PlantStates;
  pages: PlantingPages;
  entries: PlantEntries;
  lessons: PlantLessons;
  trials: Trials;
  groups: PlantGroups;
  results: PlantResults;
}

/** What was sown, struck and potted, and what became of it. */
export function plantRoutes(
  api: Api,
  { plants: store, plantEvents, trials: trialStore, pictures, keepings, now }: Stores,
  { states, pages, entries, lessons, trials, groups, results }: PlantBook,
  heavy: Heavy,
): void {
  /** What a key entered already. @throws OutOfRange where that was for another planting */
  const eventOf = (key: string, planting: number): KeptPlantEvent | null => {
    const existing = plantEvents.byKey(key);
    if (existing && existing.planting !== planting)
      throw new OutOfRange('key', key, allow('allowed.key-of-one', none));
    return existing && { id: existing.id, at: existing.at, event: existing.event };
  };
  api.serve('plantings', ({ query: { finished, from } }) => states.lines(store.page(finished, from)));
  api.serve('addPlanting', ({ body }) => {
    const existing = store.byKey(body.key);
    if (existing) return new Again(states.lines([existing])[0]!);
    return entries.add(body, now().toISOString());
  });
  api.serve('setPlantingKeeping', ({ params: { id }, body: { keeping } }) => {
    if (!store.one(id)) throw notFound('planting', id);
    keepings.setOwn(id, keeping);
    return { keeping: keepings.ownOf(id) };
  });
  api.serve('plantCare', () => states.care());
  api.serve('plantGroups', ({ query: { by, crop } }) => groups.groups(by, crop ?? null));
  api.serve('taught', () => lessons.taught());
  api.serve('takenUp', () => lessons.takenUp());
  api.serve('tender', () => states.tender());
  api.serve('plantResults', ({ query }) => results.of(query));
  api.serve('odds', () => results.odds);
  api.serve('setOdds', ({ body }) => (results.odds = body));
  const pdf = async (
    language: Language,
    size: string | undefined,
    labels: readonly LabelText[],
  ): Promise<Buffer> =>
    Buffer.from(
      await heavy.run('pdf', await labelSheet(language, labelSize(size ?? labelSizes[0]!.id), labels)),
    );
  api.serve('plantLabels', ({ params: { id }, query: { units, size, count = 1 }, req }) => {
    const page = pages.page(id);
    const url = addressFor(req, `/plants/${id}`);
    const reader = { ...readerOf(req), units };
    const label = plantLabel(...pages.namesOf(page), page, store.before(id), reader, url);
    return pdf(
      reader.language,
      size,
      Array.from({ length: count }, () => label),
    );
  });
  api.serve('trialLabels', ({ params: { id }, query: { size }, req }) =>
    pdf(
      readerOf(req).language,
      size,
      trialLabels(trials.one(id), readerOf(req).language, (planting) =>
        addressFor(req, `/plants/${planting}`),
      ),
    ),
  );
  api.serve('addPicture', ({ params: { id }, body }) => {
    const existing = eventOf(body.key, id);
    return existing ? new Again(existing) : entries.addPicture(id, body, now().toISOString());
  });
  api.serve('picture', ({ params: { id } }) => {
    const jpeg = pictures.one(id);
    if (!jpeg) throw notFound('picture', id);
    return jpeg;
  });
  api.serve('planting', ({ params }) => pages.page(params.id));
  api.serve('addPlantEvent', ({ params: { id }, body: { key, event, madeAt, sentAt } }) => {
    const existing = eventOf(key, id);
    if (existing) return new Again(existing);
    const at = now();
    return entries.addEvent(id, key, event, at.toISOString(), madeAtHere(at, madeAt, sentAt));
  });
  const putAway = (id: number, at: string | null): boolean => entries.putAway(id, at, now().toISOString());
  putAwayRoutes(api, 'planting', ['putAwayPlanting', 'restorePlanting'], { putAway }, now);
  api.serve('trials', () => trialStore.all());
  api.serve('addTrial', ({ body }) => {
    const existing = trialStore.byKey(body.key);
    if (existing) return new Again(trials.one(existing.id));
    return trials.add(body, now().toISOString());
  });
  api.serve('trial', ({ params }) => trials.one(params.id));
}
