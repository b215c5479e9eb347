export interface FoundRecipe {
  score: number;
  /** By index on the shelf. */
  parts: Uint8Array;
  /** Price of a litre, where all prices are known. */
  cost?: number;
}

/** Scores closer than this are a tie: fewer materials, smaller totals, lower prices, then earlier materials, come first. */
const TIE = 1e-12;

/** @returns below 0 when a comes first */
export function compareFound(a: FoundRecipe, b: FoundRecipe): number {
  if (Math.abs(a.score - b.score) > TIE) return a.score - b.score;
  // Whole plateaus tie: this is asked for most recipes of a search, and makes nothing new.
  let [fewer, smaller] = [0, 0];
  for (let i = 0; i < a.parts.length; i++) {
    const [p, q] = [a.parts[i]!, b.parts[i]!];
    fewer += (p > 0 ? 1 : 0) - (q > 0 ? 1 : 0);
    smaller += p - q;
  }
  if (fewer !== 0) return fewer;
  if (smaller !== 0) return smaller;
  if (Math.abs((a.cost ?? 0) - (b.cost ?? 0)) > TIE) return (a.cost ?? 0) - (b.cost ?? 0);
  for (let i = 0; i < a.parts.length; i++) {
    if (a.parts[i] !== b.parts[i]) return b.parts[i]! - a.parts[i]!;
  }
  return 0;
}

/** The best of however many, in bounded memory: a heap with the worst kept on top. */
export class BestOf {
  private readonly heap: FoundRecipe[] = [];

  constructor(private readonly keep: number) {}

  /** A score above this cannot enter. */
  get worst(): number {
    return this.heap.length < this.keep ? Infinity : this.heap[0]!.score + TIE;
  }

  /** Whether it would be kept. */
  wants(found: FoundRecipe): boolean {
    return this.heap.length < this.keep || compareFound(found, this.heap[0]!) < 0;
  }

  take(found: FoundRecipe): void {
    const { heap } = this;
    if (heap.length < this.keep) {
      heap.push(found);
      this.up(heap.length - 1);
    } else if (compareFound(found, heap[0]!) < 0) {
      heap[0] = found;
      this.down(0);
    }
  }

  /** Best first. */
  sorted(): FoundRecipe[] {
    return [...this.heap].sort(compareFound);
  }

  private up(at: number): void {
    const { heap } = this;
    while (at > 0) {
      const parent = (at - 1) >> 1;
      if (compareFound(heap[at]!, heap[parent]!) <= 0) return;
      [heap[at], heap[parent]] = [heap[parent]!, heap[at]!];
      at = parent;
    }
  }

  private down(at: number): void {
    const { heap } = this;
    for (;;) {
      let worst = at;
      for (const child of [2 * at + 1, 2 * at + 2]) {
        if (child < heap.length && compareFound(heap[child]!, heap[worst]!) > 0) worst = child;
      }
      if (worst === at) return;
      [heap[at], heap[worst]] = [heap[worst]!, heap[at]!];
      at = worst;
    }
  }
}
