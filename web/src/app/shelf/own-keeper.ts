import { inject, signal, type Signal } from '@angular/core';
import { type MaterialRow } from '#core/material/material';
import { LibraryService } from '../data/library';
import { Notices } from '../data/notices';
import { ShelfService } from '../data/shelf';
import { ownKeeper as texts } from '#words/en/places/shelf/own-keeper';

export interface OwnKeeper {
  /** Why it was not kept; empty where it was. */
  problem: Signal<string>;
  forget: () => void;
  /** @param id of the one that changes; null for a new one */
  keep: (id: string | null, says: string, row: MaterialRow, done: () => void) => void;
}

/** Keeps a material of one's own and says so: every way in ends here. Call where things are injected. */
export function ownKeeper(): OwnKeeper {
  const [library, shelf, notices] = [inject(LibraryService), inject(ShelfService), inject(Notices)];
  const problem = signal('');
  return {
    problem: problem.asReadonly(),
    forget: () => problem.set(''),
    keep: (id, says, { id: _, ...row }, done) => {
      problem.set('');
      library.keepMaterial(id, says, row).subscribe({
        next: () => {
          shelf.lines.refresh();
          notices.say(texts.isOnYourShelf(row.name));
          done();
        },
        error: (error: Error) => problem.set(texts.notKept(error.message)),
      });
    },
  };
}
