import { Injectable, signal } from '@angular/core';
import { type Observable } from 'rxjs';
import { notices as texts } from '#words/en/places/data/notices';

export interface Notice {
  text: string;
  undo?: () => void;
}

/** One short message at a time, with the way back where there is one. */
@Injectable({ providedIn: 'root' })
export class Notices {
  private readonly shown = signal<Notice | null>(null);
  readonly current = this.shown.asReadonly();
  private timer: ReturnType<typeof setTimeout> | undefined;

  say(text: string, undo?: () => void): void {
    clearTimeout(this.timer);
    this.shown.set(undo ? { text, undo } : { text });
    this.timer = setTimeout(() => this.shown.set(null), undo ? 12_000 : 6_000);
  }

  /**
   * Says what was done, with the way back. Whatever becomes of that is said too; where it failed it can be tried again.
   * @param back undoes it at the server
   */
  undoable(text: string, back: () => Observable<unknown>, then?: () => void): void {
    this.say(text, () =>
      back().subscribe({
        next: () => then?.(),
        complete: () => this.say(texts.undone),
        error: (error: Error) => this.undoable(texts.notUndone(error.message), back, then),
      }),
    );
  }

  undo(): void {
    const undo = this.shown()?.undo;
    this.close();
    undo?.();
  }

  close(): void {
    clearTimeout(this.timer);
    this.shown.set(null);
  }
}
