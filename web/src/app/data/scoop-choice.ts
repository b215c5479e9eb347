import { computed, inject, Injectable, type Signal } from '@angular/core';
import { fittingScoop, ownScoops, type Scoop, scoops } from '#core/batch/scoops';
import { type BatchSnapshot } from '#core/batch/snapshot';
import { type UnitSystem } from '#core/units/show';
import { kept } from './kept';
import { MeasuresService } from './measures';
import { Units } from './units';

/** A scoop that somebody chose for a card, and how to choose another. */
export interface ChosenScoop {
  id: Signal<string>;
  choose(id: string): void;
}

/** What each card is counted in, in each system of units: chosen once on this device, it stays. */
@Injectable({ providedIn: 'root' })
export class ScoopChoice {
  private readonly units = inject(Units);
  private readonly measures = inject(MeasuresService);
  private readonly chosen = kept<Record<string, string>>('scoops', {}, (stored) =>
    stored && typeof stored === 'object' ? (stored as Record<string, string>) : undefined,
  );

  /** @param card names it: a batch's number, or the one that is new */
  of(card: Signal<string>, snapshot: Signal<BatchSnapshot | null>): ChosenScoop {
    const key = computed(() => `${card()}.${this.units.system()}`);
    return {
      id: computed(() => {
        const id = this.chosen.value()[key()];
        return id !== undefined && this.exists(id) ? id : usual(snapshot(), this.units.system());
      }),
      choose: (id) => this.chosen.set({ ...this.chosen.value(), [key()]: id }),
    };
  }

  /** The measure of an id: as it was on the day of the card before what it is today. */
  measure(id: string, snapshot: BatchSnapshot | null): Scoop | undefined {
    const measure = snapshot?.choice.measure;
    const own = ownScoops(this.measures.all.value() ?? [], this.units.system());
    return [...(measure ? [measure] : []), ...own, ...scoops].find((scoop) => scoop.id === id);
  }

  /** A measure that was put away is no choice any more. */
  private exists(id: string): boolean {
    const own = /^own-(\d+)-/.exec(id);
    if (!own) return scoops.some((s) => s.id === id);
    const all = this.measures.all.value();
    return all === undefined || all.some((m) => m.id === Number(own[1]));
  }
}

/** The scoop the card was made with where it fits the units, else the one that fits the amounts. */
function usual(snapshot: BatchSnapshot | null, system: UnitSystem): string {
  if (!snapshot) return '';
  const { measure, scoop } = snapshot.choice;
  if (measure?.id === scoop && scoop.startsWith('own-')) return scoop;
  if (scoops.find((s) => s.id === scoop)?.system === system) return scoop;
  return fittingScoop(Math.max(...snapshot.sheet.components.map((c) => c.looseLitres)) / 3, system).id;
}
