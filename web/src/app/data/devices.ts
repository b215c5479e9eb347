import { inject, Injectable } from '@angular/core';
import { type Observable, tap } from 'rxjs';
import { type Device, type SharingDoor, type ShareWay } from '#contract/devices';
import { ApiClient } from './api';
import { Resource } from './resource';

/** The door to the network, and who may come in by it. */
@Injectable({ providedIn: 'root' })
export class DevicesService {
  private readonly api = inject(ApiClient);
  readonly sharing = new Resource<SharingDoor>(() => this.api.call('sharing'));

  open(way: ShareWay): Observable<SharingDoor> {
    return this.api.call('setSharing', { body: { way } }).pipe(tap((now) => this.sharing.change(() => now)));
  }

  pair(): Observable<SharingDoor> {
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

export type { Device, SharingDoor, ShareWay };
