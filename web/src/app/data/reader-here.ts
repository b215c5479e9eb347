import { computed, inject, Injectable } from '@angular/core';
import { type AnyMessage, type BareCode } from '#words/catalog';
import { type Text } from '#core/units/message';
import { formatsOf, read, word } from '#words/read';
import { type Reader } from '#words/reader';
import { Units } from './units';

/** Who reads this device: a language and a system of units. */
@Injectable({ providedIn: 'root' })
export class ReaderHere {
  private readonly units = inject(Units);
  readonly now = computed((): Reader => ({ language: 'en', units: this.units.system() }));
  readonly formats = computed(() => formatsOf(this.now()));

  read(text: Text<AnyMessage>): string {
    return read(text, this.now());
  }

  word(code: BareCode): string {
    return word(code, this.now());
  }
}
