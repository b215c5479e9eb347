import { type Stores } from '#server/kept/stores';
import { notFound } from '#server/base/http/problem';
import { putAwayRoutes } from '#server/base/http/put-away';
import { Again, type Api } from '#server/base/http/serve';
import { type Heavy } from '#server/out/heavy/heavy';
import { readerOf } from '#server/base/http/reader';
import { addressFor } from '#server/base/http/address-for';
import { type PlantStates } from '#server/book/plants/plant-states';
import { calendarOf } from '#server/out/season/calendar';
import { runLabel, weekSheet } from '#server/out/season/papers';
import { type Planner } from '#server/book/season/planner';
import { type CropStep } from '#core/season/crop';
import { lookUp } from '#core/recipe/library';

/** Care of plants stands in the calendar so far ahead. */
const CALENDAR_DAYS = 90;

export function seasonRoutes(
  api: Api,
  { season: store, crops, library, folder, calendar, now }: Stores,
  planner: Planner,
  plants: PlantStates,
  heavy: Heavy,
): void {
  /** @throws OutOfRange for a vessel that there is not */
  const checkSteps = (steps: readonly CropStep[] | null): void =>
    steps?.forEach(({ vessel }, i) => lookUp(library.library().vessels, vessel, `steps.${i}.vessel`));
  /** @throws OutOfRange for a crop or vessel that there is not */
  const checked = <L extends { crop: string; steps: CropStep[] | null }>(line: L): L => {
    lookUp(crops.byId(), line.crop, 'crop');
    checkSteps(line.steps);
    return line;
  };
  const lineOf = (id: number) => {
    const line = store.one(id);
    if (!line) throw notFound('line', id);
    return line;
  };

  api.serve('crops', () => [...crops.all()]);
  api.serve('keepCrop', ({ body }) => {
    const existing = crops.byKey(body.key);
    if (existing) return new Again(existing);
    checkSteps(body.crop.steps);
    return crops.add(body);
  });
  api.serve('changeCrop', ({ params, body }) => {
    checkSteps(body.crop.steps);
    const changed = crops.change(params.crop, body);
    if (!changed) throw notFound('own-crop', params.crop);
    return changed;
  });

  api.serve('plan', () => store.plan(calendar.today()));
  api.serve('setSeason', ({ body }) => store.setSettings(body));
  api.serve('addLine', ({ body }) => {
    const existing = store.byKey(body.key);
    if (existing) return new Again(existing);
    return store.add(checked(body), now().toISOString());
  });
  api.serve('changeLine', ({ params: { id }, body }) => {
    const changed = store.change(id, checked(body));
    if (!changed) throw notFound('line', id);
    return changed;
  });
  putAwayRoutes(api, 'line', ['putAwayLine', 'restoreLine'], store, now);
  api.serve('markTask', ({ params: { id }, body }) => {
    lineOf(id);
    if (body.on !== null) calendar.notLaterThanToday('on', body.on);
    store.setDone(id, body);
  });
  api.serve('seasonTasks', () => planner.due());
  api.serve('seasonShort', () => planner.short());
  api.serve('mixInSeason', ({ params: { id } }) => planner.stillMixed(id));

  api.serve('calendar', ({ query: { units }, req }) => {
    const reader = { ...readerOf(req), units };
    return calendarOf(
      planner,
      folder.id,
      `${calendar.today()}T00:00:00Z`,
      plants.care(CALENDAR_DAYS),
      reader,
    );
  });
  api.serve('weekSheet', async ({ params, query: { units }, req }) => {
    const sheet = weekSheet(planner, params.week, { ...readerOf(req), units });
    return Buffer.from(await heavy.run('pdf', sheet));
  });
  api.serve('runLabels', async ({ params: { id }, query, req }) => {
    lineOf(id);
    const url = addressFor(req, `/season?line=${id}`);
    const reader = { ...readerOf(req), units: query.units };
    return Buffer.from(await heavy.run('pdf', await runLabel(planner, id, query, reader, url)));
  });
}
