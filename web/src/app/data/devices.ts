import { inject, Injectable } from '@angular/core';
import { type Observable, tap } from 'rxjs';
import { type Device, type Sharing, type ShareWay } from '#contract/devices';
import { Api } from './api';
import { Resource } from './resource';

/** The door to the network, and who may come in by it. */
@Injectable({ providedIn: 'root' })
export class DevicesService {
  private readonly api = inject(Api);
  readonly sharing = new Resource<Sharing>(() => this.api.call('sharing'));

  open(way: ShareWay): Observable<Sharing> {
    return this.api.call('setSharing', { body: { way } }).pipe(tap((now) => this.sharing.change(() => now)));
  }

  pair(): Observable<Sharing> {
    return this.api.call('pairDevice').pipe(tap((now) => this.sharing.change(() => now)));
  }

  rename(id: number, name: string): Observable<void> {
    return this.api
      .call('renameDevice', { params: { id }, body: { name } })
      .pipe(tap(() => this.sharing.refresh()));
  }

  takeAway(id: number): Observable<void> {
    return this.api.call('takeAwayDevice', { params: { id } }).pipe(tap(() => this.sharing.refresh()));
  }
}

export type { Device, Sharing, ShareWay };
