import { HttpResponse, type HttpInterceptorFn } from '@angular/common/http';
import { inject, Injectable, signal } from '@angular/core';
import { tap } from 'rxjs';

/** Whether the nursery is in reach: what it does not answer this device may have kept. */
@Injectable({ providedIn: 'root' })
export class Reach {
  private readonly since = signal<string | null>(null);
  /** When what is shown was told, ISO; null while the nursery answers by itself. */
  readonly keptSince = this.since.asReadonly();
  private readonly can = signal<boolean | null>(null);
  /** Whether this device opens without a network: null while that is not known. */
  readonly worksOffline = this.can.asReadonly();

  answered(keptAt: string | null): void {
    this.since.update((since) => (keptAt && since && since < keptAt ? since : keptAt));
  }

  /** Has the browser keep the page; one that does not trust the certificate, or is not asked to, does not. */
  keep(): void {
    const keeper = (globalThis.navigator as Navigator | undefined)?.serviceWorker;
    if (!keeper) {
      this.can.set(false);
      return;
    }
    keeper
      .register('/service-worker.js')
      .then(() => this.can.set(true))
      .catch(() => this.can.set(false));
  }
}

/** Notes of every answer whether it came from the nursery or from this device. */
export const noteReach: HttpInterceptorFn = (request, next) => {
  const reach = inject(Reach);
  return next(request).pipe(
    tap((event) => {
      if (event instanceof HttpResponse && request.method === 'GET')
        reach.answered(event.headers.get('x-welcome-kept'));
    }),
  );
};
