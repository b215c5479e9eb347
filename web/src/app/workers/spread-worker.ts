import { InjectionToken } from '@angular/core';

/** Makes the worker. Apart and by token, since tests have no workers and no `import.meta`. */
export const SPREAD_WORKER = new InjectionToken<() => Worker>('spread worker', {
  providedIn: 'root',
  factory: () => () => new Worker(new URL('./spread.worker', import.meta.url), { type: 'module' }),
});
