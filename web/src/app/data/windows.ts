import { inject, Injectable } from '@angular/core';
import { type OwnWindows } from '#core/recipe/windows-wanted';
import { ApiClient } from './api';
import { Resource } from './resource';

/** Windows that the nursery set for itself. A change shows at once and is taken back when it could not be kept. */
@Injectable({ providedIn: 'root' })
export class WindowsService {
  private readonly api = inject(ApiClient);
  readonly own = new Resource<OwnWindows>(() => this.api.call('windows'));

  change(windows: OwnWindows, failed: (why: string) => void): void {
    const before = this.own.value();
    this.own.change(() => windows);
    this.api.call('setWindows', { body: windows }).subscribe({
      error: (error: Error) => {
        if (before) this.own.change(() => before);
        failed(error.message);
      },
    });
  }
}

export type { OwnWindows };
