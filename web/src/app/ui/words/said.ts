import { inject, Pipe, type PipeTransform } from '@angular/core';
import { readOut, type Said } from '#core/units/said';
import { Units } from '../../data/units';

/** A sentence in the units of the reader. */
@Pipe({ name: 'said', pure: false })
export class SaidPipe implements PipeTransform {
  private readonly units = inject(Units);

  transform(sentence: Said): string {
    return readOut(sentence, this.units.system());
  }
}
