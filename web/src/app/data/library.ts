import { inject, Injectable } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { map, retry, shareReplay, startWith, catchError, of } from 'rxjs';
import { type LibraryAnswer } from '#contract/library';
import { materialFromRow } from '#core/material/material';
import { libraryOf, type Library } from '#core/recipe/library';
import { Api } from './api';

export type LibraryState =
  { state: 'loading' } | { state: 'ready'; library: Library } | { state: 'failed'; why: string };

/** Materials, products and vessels, fetched once and shared; tried again three times before it is called failed. */
@Injectable({ providedIn: 'root' })
export class LibraryService {
  readonly library$ = inject(Api)
    .get<LibraryAnswer>('library')
    .pipe(
      retry({ count: 3, delay: 1000 }),
      map((answer): LibraryState => ({
        state: 'ready',
        library: libraryOf(answer.materials.map(materialFromRow), answer.amendments, answer.vessels),
      })),
      catchError((error: Error) => of<LibraryState>({ state: 'failed', why: error.message })),
      startWith<LibraryState>({ state: 'loading' }),
      shareReplay({ bufferSize: 1, refCount: false }),
    );
  readonly state = toSignal(this.library$, { requireSync: true });
}
