import { keptKeepingsSchema, type KeptKeepings } from '#contract/keeping';
import { usualKeeping, type UsualKeeping } from '#core/weeks/usual-keeping';
import { type Folder } from '#server/base/database/folder';

/** How the nursery keeps what it fills, and the plantings and recipes that are kept otherwise. */
export class Keepings {
  private read: { json: string | undefined; kept: KeptKeepings } | null = null;

  constructor(private readonly folder: Folder) {}

  private get kept(): KeptKeepings {
    const json = this.folder.keeping;
    if (this.read?.json !== json || this.read === null)
      this.read = {
        json,
        kept:
          json === undefined
            ? { usual: null, plantings: {}, mixes: {} }
            : keptKeepingsSchema.parse(JSON.parse(json)),
      };
    return this.read.kept;
  }

  private keep(change: Partial<KeptKeepings>): void {
    this.folder.keeping = JSON.stringify({ ...this.kept, ...change });
  }

  /** Of the nursery. The same one until it is changed. */
  get usual(): UsualKeeping {
    return this.kept.usual ?? usualKeeping;
  }

  set usual(usual: UsualKeeping) {
    this.keep({ usual });
  }

  /** Whether somebody set it. */
  get isSet(): boolean {
    return this.kept.usual !== null;
  }

  /** What a planting is kept by that is not kept as usual; null for the others. */
  ownOf(planting: number): UsualKeeping | null {
    return this.kept.plantings[planting] ?? null;
  }

  /** Recipes whose plants are kept otherwise. The same object until one is changed. */
  get mixes(): KeptKeepings['mixes'] {
    return this.kept.mixes;
  }

  setOfMix(mix: number, keeping: UsualKeeping | null): void {
    const { [mix]: _, ...others } = this.kept.mixes;
    this.keep({ mixes: keeping ? { ...others, [mix]: keeping } : others });
  }

  setOwn(planting: number, keeping: UsualKeeping | null): void {
    const { [planting]: _, ...others } = this.kept.plantings;
    this.keep({ plantings: keeping ? { ...others, [planting]: keeping } : others });
  }
}
