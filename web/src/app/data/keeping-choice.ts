import { Injectable } from '@angular/core';
import { type houses } from '#core/mix/dry-down';
import { type Keeping } from '#core/water/life';
import { type Acid } from '#core/water/alkalinity';
import { KeptChoice } from './kept-choice';

/** How this nursery keeps what is filled: house, water, hand. */
export interface KeepingChoice {
  weeks: number;
  house: (typeof houses)[number];
  tempC: number;
  /** Where none of the nursery's own is chosen. */
  water: Keeping['water'];
  /** Of the nursery's own waters, by number: the one poured, and what is mixed into it; null for none. */
  waterId: number | null;
  blendId: number | null;
  /** Share of the first, %. */
  blendPct: number;
  rule: Keeping['rule'];
  plant: Keeping['plant'];
  /** Acid in the water; null for none. */
  acid: Acid | null;
  acidPh: number;
  /** What the feed is, by its id in the library; null where nothing is chosen. */
  feed: string | null;
  injector: number;
  tankLitres: number;
}

const usual: KeepingChoice = {
  weeks: 8,
  house: 'bright',
  tempC: 20,
  water: { alkalinityMgPerL: 80, ecMSPerCm: 0.4 },
  ...{ waterId: null, blendId: null, blendPct: 50 },
  rule: { waterAt: 0.5, leachPct: 10, feedNMgPerL: 75, feedFromDay: 14 },
  plant: { leafCoverFrom: 0.1, leafCoverTo: 1 },
  acid: null,
  acidPh: 6,
  feed: null,
  injector: 1,
  tankLitres: 10,
};

@Injectable({ providedIn: 'root' })
export class KeepingService extends KeptChoice<KeepingChoice> {
  constructor() {
    super('keeping', usual);
  }

  setRule(change: Partial<Keeping['rule']>): void {
    this.patch({ rule: { ...this.now().rule, ...change } });
  }
}
