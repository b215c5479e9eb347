import { inject, Injectable, signal } from '@angular/core';
import { type ShelfLine } from '#contract/shelf';
import { Api } from './api';

export type ShelfState =
  { state: 'loading' } | { state: 'ready'; lines: readonly ShelfLine[] } | { state: 'failed'; why: string };

/** What stands on the shelf. A change shows at once and is taken back when it could not be kept. */
@Injectable({ providedIn: 'root' })
export class ShelfService {
  private readonly api = inject(Api);
  private readonly now = signal<ShelfState>({ state: 'loading' });
  readonly state = this.now.asReadonly();

  constructor() {
    this.api.get<ShelfLine[]>('shelf').subscribe({
      next: (lines) => this.now.set({ state: 'ready', lines }),
      error: (error: Error) => this.now.set({ state: 'failed', why: error.message }),
    });
  }

  line(material: string): ShelfLine {
    const state = this.now();
    const line = state.state === 'ready' ? state.lines.find((l) => l.material === material) : undefined;
    return line ?? { material, here: false, costPerL: null, useUp: false };
  }

  put(line: ShelfLine, failed: (why: string) => void): void {
    const before = this.now();
    if (before.state !== 'ready') return;
    const others = before.lines.filter((l) => l.material !== line.material);
    this.now.set({ state: 'ready', lines: [...others, line] });
    const { material, ...body } = line;
    this.api.put<ShelfLine>(`shelf/${material}`, body).subscribe({
      error: (error: Error) => {
        this.now.set(before);
        failed(error.message);
      },
    });
  }
}

export type { ShelfLine };
