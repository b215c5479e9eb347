import { Injectable } from '@angular/core';
import { KeptChoice } from './kept-choice';

/** What is potted out of what, into what. A mix is the one on the bench, a starter by its stage, or a kept one. */
export interface PottingChoice {
  ball: string;
  ballMix: string;
  /** Null for the vessel of the recipe on the bench where that is a pot, else the usual one. */
  pot: string | null;
  potMix: string | null;
  crop: string | null;
  deeperMm: number;
  dry: 'moist' | 'dry' | 'wilting';
  /** What is laid on top later; null for nothing. */
  dressing: string | null;
}

const usual: PottingChoice = {
  ...{ ball: 'cell-72', ballMix: 'starter-germination', pot: null, potMix: null },
  ...{ crop: null, deeperMm: 0, dry: 'moist', dressing: null },
};

/** Kept on the device. */
@Injectable({ providedIn: 'root' })
export class PottingService extends KeptChoice<PottingChoice> {
  constructor() {
    super('potting', usual);
  }
}
