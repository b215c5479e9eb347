import { signal } from '@angular/core';
import { type Observable } from 'rxjs';

/** Something that is asked of the server by a press: under way, done, or why it was not, in words. */
export class Doing {
  readonly busy = signal(false);
  readonly problem = signal('');

  /** @param failed what is said before the reason */
  run<T>(work: Observable<T>, failed: string, then: (done: T) => void = () => undefined): void {
    this.busy.set(true);
    this.problem.set('');
    work.subscribe({
      next: (done) => {
        this.busy.set(false);
        then(done);
      },
      error: (error: Error) => {
        this.busy.set(false);
        this.problem.set(`${failed}: ${error.message}`);
      },
    });
  }
}
