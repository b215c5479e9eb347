import { computed, Injectable } from '@angular/core';
import { school } from '#core/recipe/schools';
import { kept } from './kept';

export const USUAL_SCHOOL = 'limed-peat-perlite';

/** Which school the person works by. A choice of this device. */
@Injectable({ providedIn: 'root' })
export class SchoolChoice {
  private readonly chosen = kept('school', USUAL_SCHOOL, (stored) =>
    typeof stored === 'string' && school(stored) ? stored : undefined,
  );
  readonly school = computed(() => school(this.chosen.value())!);

  follow(id: string): void {
    this.chosen.set(id);
  }
}
