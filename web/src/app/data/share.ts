import { inject, Injectable } from '@angular/core';
import { type Observable, tap } from 'rxjs';
import { type SharedFile, type ShareLine } from '#contract/share';
import { ApiClient } from './api';
import { LibraryService } from './library';
import { MixesService } from './mixes';
import { SeasonService } from './season';

/** Own things as a file for another grower, and theirs. */
@Injectable({ providedIn: 'root' })
export class ShareService {
  private readonly api = inject(ApiClient);
  private readonly library = inject(LibraryService);
  private readonly mixes = inject(MixesService);
  private readonly season = inject(SeasonService);

  look(share: SharedFile): Observable<ShareLine[]> {
    return this.api.call('lookAtShare', { body: { share } });
  }

  take(share: SharedFile, take: Pick<ShareLine, 'kind' | 'at'>[]): Observable<{ taken: string[] }> {
    return this.api.create('takeShare', { body: { share, take } }).pipe(
      tap(() => {
        this.library.fetched.refresh();
        this.mixes.all.refresh();
        this.season.crops.refresh();
      }),
    );
  }
}

export type { SharedFile, ShareLine };
