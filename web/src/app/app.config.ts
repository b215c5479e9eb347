import { provideHttpClient, withFetch, withInterceptors } from '@angular/common/http';
import {
  type ApplicationConfig,
  inject,
  provideAppInitializer,
  provideBrowserGlobalErrorListeners,
} from '@angular/core';
import {
  provideRouter,
  TitleStrategy,
  withComponentInputBinding,
  withDisabledInitialNavigation,
  withInMemoryScrolling,
} from '@angular/router';
import { Outbox } from './data/outbox';
import { noteReach } from './data/reach';
import { routes } from './app.routes';
import { provideWorkers } from './workers/make-workers';
import { PlaceTitle } from './place-title';

export const appConfig: ApplicationConfig = {
  providers: [
    provideBrowserGlobalErrorListeners(),
    provideHttpClient(withFetch(), withInterceptors([noteReach])),
    // Each in a task of its own: what waits on this device, then the frame of the page.
    provideAppInitializer(() => {
      inject(Outbox);
      return new Promise<void>((done) => setTimeout(done));
    }),
    provideWorkers(),
    provideRouter(
      routes,
      withComponentInputBinding(),
      // App goes to the first place once it is drawn itself.
      withDisabledInitialNavigation(),
      withInMemoryScrolling({ scrollPositionRestoration: 'top' }),
    ),
    { provide: TitleStrategy, useExisting: PlaceTitle },
  ],
};
