import { computed, Injectable } from '@angular/core';
import { approachOf } from '#core/recipe/approaches';
import { kept } from './kept';

export const USUAL_APPROACH = 'limed-peat-perlite';

/** Which approach the person works by. A choice of this device. */
@Injectable({ providedIn: 'root' })
export class ApproachChoice {
  private readonly chosen = kept('school', USUAL_APPROACH, (stored) =>
    typeof stored === 'string' && approachOf(stored) ? stored : undefined,
  );
  readonly approach = computed(() => approachOf(this.chosen.value())!);

  follow(id: string): void {
    this.chosen.set(id);
  }
}
