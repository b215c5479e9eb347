import { type Stores } from '#server/kept/stores';
import { type Api } from '#server/base/http/serve';
import { type Tubs } from '#server/book/tub/tubs';
import { DueSteps } from '#server/book/today/due-steps';

/** What is due today, and what was said of it. */
export function todayRoutes(api: Api, { batches, record, calendar, desk }: Stores, tubs: Tubs): void {
  const due = new DueSteps(batches, record);
  api.serve('today', async () => {
    const steps = await due.on(calendar.today());
    // What is filled, looked at or said to be mixed is mixed, whatever was ticked of it.
    return steps.filter(({ state, batchId }) => state !== 'open' || !tubs.of(batchId).tub.isFilled);
  });
  api.serve('desk', () => desk.on(calendar.today()));
  api.serve('putOff', ({ body: { item, until } }) => {
    desk.putOff(item, until);
    return desk.on(calendar.today());
  });
  api.serve('setLow', ({ body: { on, celsius } }) => {
    desk.setLow(on, celsius);
    return desk.on(calendar.today());
  });
}
