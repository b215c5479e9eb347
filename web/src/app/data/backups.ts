import { inject, Injectable } from '@angular/core';
import { type Observable, tap } from 'rxjs';
import { type Backup, type BackupCounts, type Backups } from '#contract/backups';
import { ApiClient } from './api';
import { Resource } from './resource';

/** Backups of the data folder. */
@Injectable({ providedIn: 'root' })
export class BackupsService {
  private readonly api = inject(ApiClient);
  readonly all = new Resource<Backups>(() => this.api.call('backups'));

  make(): Observable<void> {
    return this.api.call('makeBackup').pipe(tap(() => this.all.refresh()));
  }

  /** Lays a backup or an archive from elsewhere beside the others. */
  bring(file: Blob): Observable<Backup> {
    return this.api.call('bringBackup', { body: file }).pipe(tap(() => this.all.refresh()));
  }

  setSecondPlace(folder: string): Observable<void> {
    return this.api.call('setSecondPlace', { body: { folder } }).pipe(tap(() => this.all.refresh()));
  }

  restore(name: string): Observable<{ aside: string | null }> {
    return this.api.call('restoreBackup', { body: { name } });
  }
}

export type { Backup, BackupCounts, Backups };
