import { notFound } from '#server/base/http/problem';
import { type Thing } from '#words/problem-facts';
import { type Api } from '#server/base/http/serve';

/** What can be put away and brought back. */
export interface PutsAway {
  /** Puts one away (a date) or brings it back (null). @returns whether there is such a one */
  putAway(id: number, at: string | null): boolean;
}

/** Deleting is putting away: both ways for one kind of thing. */
export function putAwayRoutes(
  api: Api,
  what: Thing,
  [away, back]:
    | readonly ['putAwayMix', 'restoreMix']
    | readonly ['putAwayBatch', 'restoreBatch']
    | readonly ['putAwayMeasure', 'restoreMeasure']
    | readonly ['putAwayWater', 'restoreWater']
    | readonly ['putAwayOrder', 'restoreOrder']
    | readonly ['putAwayLine', 'restoreLine']
    | readonly ['putAwayPlanting', 'restorePlanting'],
  store: PutsAway,
  now: () => Date,
): void {
  const put = (id: number, at: string | null): void => {
    if (!store.putAway(id, at)) throw notFound(what, id);
  };
  api.serve(away, ({ params }) => put(params.id, now().toISOString()));
  api.serve(back, ({ params }) => put(params.id, null));
}
