import { readKept, writeKept } from './kept';

/** A form as it was left: there again after a reload or a way back, until it is sent or left. */
export class HalfDone<T extends object> {
  constructor(private readonly form: string) {}

  /** @param one which of the things that the form is for; "new" for one that is not there yet */
  of(one: string): T | null {
    const there = readKept(this.name(one), 'tab');
    return typeof there === 'object' ? (there as T | null) : null;
  }

  keep(one: string, as: T): void {
    writeKept(this.name(one), as, 'tab');
  }

  forget(one: string): void {
    writeKept(this.name(one), undefined, 'tab');
  }

  private name(one: string): string {
    return `half-done.${this.form}.${one}`;
  }
}
