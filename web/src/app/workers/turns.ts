/**
 * Calls of one kind, of which only the newest is wanted: an older one ends with null as soon as it looks up.
 * @example const wanted = turns.next(); while (!search.step()) if (!(await wanted())) return null;
 */
export class Turns {
  private newest = 0;

  /** Begins a call; the one before is not wanted any more. @returns lets waiting calls in, and says whether this is wanted */
  next(): () => Promise<boolean> {
    const own = ++this.newest;
    return async () => {
      await new Promise((done) => setTimeout(done));
      return own === this.newest;
    };
  }

  /** Nothing is wanted any more. */
  stop(): void {
    this.newest++;
  }
}
