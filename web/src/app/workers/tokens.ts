import { InjectionToken } from '@angular/core';
import { type AdviseApi } from './advise.protocol';
import { type Hired } from './calls';
import { type FinderApi } from './finder.protocol';
import { type SeasonApi } from './season.protocol';
import { type SpreadApi } from './spread.protocol';
import { type WeeksApi } from './weeks.protocol';

/** Makes a worker that samples how sure a recipe is. */
export const SPREAD_WORKER = new InjectionToken<() => Hired<SpreadApi>>('spread worker');
/** Makes a worker that looks for ways out of what is wrong with a recipe. */
export const ADVISE_WORKER = new InjectionToken<() => Hired<AdviseApi>>('advise worker');
/** Makes a worker that searches, tells and swaps recipes. */
export const FINDER_WORKER = new InjectionToken<() => Hired<FinderApi>>('finder worker');
/** Makes a worker that fits the bench and looks for the fewest mixes. */
export const SEASON_WORKER = new InjectionToken<() => Hired<SeasonApi>>('season worker');
/** Makes a worker that lives a mix through its weeks, and looks for a rule that keeps it right. */
export const WEEKS_WORKER = new InjectionToken<() => Hired<WeeksApi>>('weeks worker');
