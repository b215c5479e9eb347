import { InjectionToken } from '@angular/core';

/** Makes a finder's worker. Apart and by token, since tests have no workers and no `import.meta`. */
export const FINDER_WORKER = new InjectionToken<() => Worker>('finder worker', {
  providedIn: 'root',
  factory: () => () => new Worker(new URL('./finder.worker', import.meta.url), { type: 'module' }),
});
