import { Injectable } from '@angular/core';
import { KeptChoice } from './kept-choice';

/** What is struck, and how. Kept on the device. */
export interface CuttingChoice {
  cutting: string;
  /** YYYY-MM-DD; null for today. */
  on: string | null;
  baseC: number;
  airC: number;
  /** % of relative humidity; null where it is not measured. */
  humidity: number | null;
  /** Of what there is, mg/L; null where none is used. */
  stockPpm: number | null;
  dipPpm: number;
  dipMl: number;
}

const usual: CuttingChoice = {
  ...{ cutting: 'lavender', on: null, baseC: 22, airC: 22, humidity: null },
  ...{ stockPpm: null, dipPpm: 1500, dipMl: 100 },
};

@Injectable({ providedIn: 'root' })
export class CuttingService extends KeptChoice<CuttingChoice> {
  constructor() {
    super('cutting', usual);
  }
}
