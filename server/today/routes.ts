import { type BatchStore } from '#server/batches/store';
import { type Api } from '#server/http/serve';
import { type Calendar } from '#server/nursery/calendar';
import { type RecordStore } from '#server/record/store';
import { DueSteps } from '#server/today/due-steps';

export function todayRoutes(api: Api, batches: BatchStore, record: RecordStore, calendar: Calendar): void {
  const due = new DueSteps(batches, record);
  api.serve('today', () => due.on(calendar.today()));
}
