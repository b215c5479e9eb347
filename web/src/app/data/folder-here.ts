import { Injectable, signal } from '@angular/core';
import { readKept, writeKept } from './kept';

const KEPT = 'folder';

/** Identity of the data folder that this page shows; what this device saw last until the server has told. */
@Injectable({ providedIn: 'root' })
export class FolderHere {
  private readonly served = signal<string | null>(null);
  private readonly other = signal(false);
  /** As the server told it; null until then. */
  readonly id = this.served.asReadonly();
  /** Another state of the nursery was put in place while this page was open: what it shows is of before. */
  readonly changed = this.other.asReadonly();

  /** What an entry is written for. Empty where this device never saw a nursery. */
  get meant(): string {
    const kept = readKept(KEPT);
    return this.served() ?? (typeof kept === 'string' ? kept : '');
  }

  isNow(id: string): void {
    const existing = this.served();
    if (existing !== null && existing !== id) this.other.set(true);
    if (existing !== null) return;
    this.served.set(id);
    writeKept(KEPT, id);
  }

  /** The server said so to something that was sent. */
  isAnother(): void {
    this.other.set(true);
  }
}
