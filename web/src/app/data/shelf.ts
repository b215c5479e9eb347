import { inject, Injectable } from '@angular/core';
import { type ShelfChange, type ShelfLine } from '#contract/shelf';
import { ApiClient } from './api';
import { Resource } from './resource';

/** What stands on the shelf. A change shows at once and is taken back when it could not be kept. */
@Injectable({ providedIn: 'root' })
export class ShelfService {
  private readonly api = inject(ApiClient);
  readonly lines = new Resource<readonly ShelfLine[]>(() => this.api.call('shelf'));

  line(material: string): ShelfLine {
    const line = this.lines.value()?.find((l) => l.material === material);
    return line ?? { material, here: false, costPerL: null, useUp: false };
  }

  /** What is not named stays as it stands, whoever changed it. */
  change(material: string, change: ShelfChange, failed: (why: string) => void): void {
    const before = this.line(material);
    this.place({ ...before, ...change });
    this.api.call('changeShelfLine', { params: { material }, body: change }).subscribe({
      next: (line) => this.place(line),
      error: (error: Error) => {
        this.place(before);
        failed(error.message);
      },
    });
  }

  private place(line: ShelfLine): void {
    this.lines.change((lines) => [...lines.filter((l) => l.material !== line.material), line]);
  }
}

export type { ShelfChange, ShelfLine };
