import { InjectionToken } from '@angular/core';

/** Makes a worker that samples how sure a recipe is. */
export const SPREAD_WORKER = new InjectionToken<() => Worker>('spread worker');
/** Makes a worker that searches, tells and swaps recipes. */
export const FINDER_WORKER = new InjectionToken<() => Worker>('finder worker');
/** Makes a worker that fits the bench and looks for the fewest mixes. */
export const SEASON_WORKER = new InjectionToken<() => Worker>('season worker');
/** Makes a worker that lives a mix through its weeks, and looks for a rule that keeps it right. */
export const WEEKS_WORKER = new InjectionToken<() => Worker>('weeks worker');
