import { computed, inject, Injectable } from '@angular/core';
import { type Reader } from '#words/reader';
import { Units } from './units';

/** Who reads this device: a language and a system of units. */
@Injectable({ providedIn: 'root' })
export class ReaderHere {
  private readonly units = inject(Units);
  readonly now = computed((): Reader => ({ language: 'en', units: this.units.system() }));
}
