import { computed, inject, Injectable } from '@angular/core';
import { type PlantingKept } from '#core/plants/planting-clock';
import { type Keeping } from '#core/weeks/keeping';
import { KeepingService } from '../data/keeping';
import { KeepingHere } from './keeping-here';
import { WeeksSubject } from './weeks-subject';

/** How what is looked at is kept, in figures. */
@Injectable()
export class WeeksHand {
  private readonly service = inject(KeepingService);
  private readonly keeping = inject(KeepingHere);
  private readonly subject = inject(WeeksSubject);
  private readonly kept = computed((): PlantingKept | null => {
    const [subject, things, usual] = [this.subject.now(), this.service.things(), this.keeping.now()];
    return subject && things ? subject.keptBy(usual, things) : null;
  });
  /** null until all of it is known. */
  readonly asked = computed((): Keeping | null => this.kept()?.keeping ?? null);
  /** By how much faster than reckoned its own trays dry, as their weighing taught; undefined where it taught nothing. */
  readonly driesBy = computed(() => this.kept()?.driesBy);
}
