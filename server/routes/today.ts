import { type BatchStore } from '#server/kept/batches';
import { type Api } from '#server/base/http/serve';
import { type Calendar } from '#server/kept/nursery/calendar';
import { type RecordStore } from '#server/kept/record';
import { DueSteps } from '#server/book/today/due-steps';

export function todayRoutes(api: Api, batches: BatchStore, record: RecordStore, calendar: Calendar): void {
  const due = new DueSteps(batches, record);
  api.serve('today', () => due.on(calendar.today()));
}
