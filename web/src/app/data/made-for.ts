import { Injectable } from '@angular/core';
import { type MadeFor } from '#contract/plan';
import { type Recipe } from '#core/recipe/recipe';
import { readKept, writeKept } from './kept';

/** What the batch that is about to be made is for, as the season sent it: it holds for that very recipe. */
@Injectable({ providedIn: 'root' })
export class MadeForChoice {
  send(recipe: Recipe, name: string, steps: readonly MadeFor[]): void {
    writeKept('made-for', { recipe: JSON.stringify(recipe), name, steps }, 'tab');
  }

  /** @returns null for a recipe that the season did not send */
  of(recipe: Recipe): { name: string; steps: MadeFor[] } | null {
    const sent = readKept('made-for', 'tab') as
      { recipe: string; name: string; steps: MadeFor[] } | null | undefined;
    return sent?.recipe === JSON.stringify(recipe) ? sent : null;
  }

  forget(): void {
    writeKept('made-for', undefined, 'tab');
  }
}
