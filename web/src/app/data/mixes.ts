import { inject, Injectable } from '@angular/core';
import { type Observable, Subject, startWith, switchMap, tap, shareReplay, catchError, of } from 'rxjs';
import { type Recipe } from '#core/recipe/recipe';
import { type MixVersion } from '#contract/mixes';
import { Api } from './api';
import { uuid } from './uuid';

/** Recipes kept by name. */
@Injectable({ providedIn: 'root' })
export class MixesService {
  private readonly api = inject(Api);
  private readonly changed = new Subject<void>();

  /** Newest version of each; null while the server cannot be reached. */
  readonly all$: Observable<MixVersion[] | null> = this.changed.pipe(
    startWith(undefined),
    switchMap(() => this.api.get<MixVersion[]>('mixes').pipe(catchError(() => of(null)))),
    shareReplay({ bufferSize: 1, refCount: true }),
  );

  keepNew(name: string, recipe: Recipe): Observable<MixVersion> {
    return this.api
      .post<MixVersion>('mixes', { key: uuid(), name, recipe })
      .pipe(tap(() => this.changed.next()));
  }

  keepVersion(mixId: number, recipe: Recipe): Observable<MixVersion> {
    return this.api
      .post<MixVersion>(`mixes/${mixId}/versions`, { key: uuid(), recipe })
      .pipe(tap(() => this.changed.next()));
  }
}

export type { MixVersion };
