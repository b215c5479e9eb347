import { kept } from './kept';

/** What was chosen on a page, kept on the device and changed a field at a time. What is stored may lack newer fields. */
export abstract class KeptChoice<T extends object> {
  private readonly choice;
  readonly now;

  protected constructor(name: string, usual: T) {
    this.choice = kept<T>(name, usual, (stored) =>
      stored && typeof stored === 'object' ? { ...usual, ...(stored as Partial<T>) } : undefined,
    );
    this.now = this.choice.value;
  }

  patch(change: Partial<T>): void {
    this.choice.set({ ...this.now(), ...change });
  }
}
