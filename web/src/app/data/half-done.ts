import { readKept, writeKept } from './kept';

/** A form as it was left: there again after a reload or a way back, until it is sent or left. */
export class HalfDone<T extends object> {
  constructor(private readonly form: string) {}

  /** @param one which of the things that the form is for; "new" for one that is not there yet */
  of(each: string): T | null {
    const present = readKept(this.name(each), 'tab');
    return typeof present === 'object' ? (present as T | null) : null;
  }

  keep(each: string, as: T): void {
    writeKept(this.name(each), as, 'tab');
  }

  forget(each: string): void {
    writeKept(this.name(each), undefined, 'tab');
  }

  private name(each: string): string {
    return `half-done.${this.form}.${each}`;
  }
}
