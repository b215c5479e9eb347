import { type Stores } from '#server/kept/stores';
import { type Api } from '#server/base/http/serve';
import { DueSteps } from '#server/book/today/due-steps';

export function todayRoutes(api: Api, { batches, record, calendar }: Stores): void {
  const due = new DueSteps(batches, record);
  api.serve('today', () => due.on(calendar.today()));
}
