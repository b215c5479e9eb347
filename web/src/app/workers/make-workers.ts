import { type Provider } from '@angular/core';
import { hire } from './calls';
import { ADVISE_WORKER, FINDER_WORKER, SEASON_WORKER, SPREAD_WORKER, WEEKS_WORKER } from './tokens';

/** The real workers. Apart from their tokens, since tests have no workers and no `import.meta`. */
export function provideWorkers(): Provider[] {
  return [
    {
      provide: WEEKS_WORKER,
      useValue: () => hire(new Worker(new URL('./weeks.worker', import.meta.url), { type: 'module' })),
    },
    {
      provide: ADVISE_WORKER,
      useValue: () => hire(new Worker(new URL('./advise.worker', import.meta.url), { type: 'module' })),
    },
    {
      provide: SEASON_WORKER,
      useValue: () => hire(new Worker(new URL('./season.worker', import.meta.url), { type: 'module' })),
    },
    {
      provide: SPREAD_WORKER,
      useValue: () => hire(new Worker(new URL('./spread.worker', import.meta.url), { type: 'module' })),
    },
    {
      provide: FINDER_WORKER,
      useValue: () => hire(new Worker(new URL('./finder.worker', import.meta.url), { type: 'module' })),
    },
  ];
}
