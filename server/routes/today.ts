import { type Stores } from '#server/kept/stores';
import { type Api } from '#server/base/http/serve';
import { DueSteps } from '#server/book/today/due-steps';

/** What is due today, and what was said of it. */
export function todayRoutes(api: Api, { batches, record, calendar, desk }: Stores): void {
  const due = new DueSteps(batches, record);
  api.serve('today', () => due.on(calendar.today()));
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
