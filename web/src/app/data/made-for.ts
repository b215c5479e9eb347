import { Injectable } from '@angular/core';
import { type MadeFor } from '#contract/plan';
import { type Recipe } from '#core/recipe/recipe';
import { readKept, writeKept } from './kept';

interface Sent {
  stage: string;
  vessel: string;
  name: string;
  steps: MadeFor[];
}

/**
 * What the batch that is about to be made is for, as the season sent it. It holds while the recipe is for the same
 * stage and vessel, whatever else of it is changed; the card says so, with a way out.
 */
@Injectable({ providedIn: 'root' })
export class MadeForChoice {
  send(recipe: Recipe, name: string, steps: readonly MadeFor[]): void {
    const { stage, vessel } = recipe;
    writeKept('made-for', { stage, vessel, name, steps }, 'tab');
  }

  /** @returns null for a recipe that is not for what the season sent */
  of({ stage, vessel }: Recipe): Sent | null {
    const sent = readKept('made-for', 'tab') as Sent | null | undefined;
    return sent?.stage === stage && sent.vessel === vessel ? sent : null;
  }

  forget(): void {
    writeKept('made-for', undefined, 'tab');
  }
}
