import { inject, Injectable } from '@angular/core';
import { type ShelfLine } from '#contract/shelf';
import { Api } from './api';
import { Resource } from './resource';

/** What stands on the shelf. A change shows at once and is taken back when it could not be kept. */
@Injectable({ providedIn: 'root' })
export class ShelfService {
  private readonly api = inject(Api);
  readonly lines = new Resource<readonly ShelfLine[]>(() => this.api.call('shelf'));

  line(material: string): ShelfLine {
    const line = this.lines.value()?.find((l) => l.material === material);
    return line ?? { material, here: false, costPerL: null, useUp: false };
  }

  put(line: ShelfLine, failed: (why: string) => void): void {
    const before = this.line(line.material);
    this.place(line);
    const { material, ...body } = line;
    this.api.call('putShelfLine', { params: { material }, body }).subscribe({
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

export type { ShelfLine };
