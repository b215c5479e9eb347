import { inject, Pipe, type PipeTransform } from '@angular/core';
import { inWords, readOut, type Said } from '#core/units/said';
import { Units } from '../../data/units';

/** A sentence, or words with numbers in them, in the units of the reader. */
@Pipe({ name: 'said', pure: false })
export class SaidPipe implements PipeTransform {
  private readonly units = inject(Units);

  transform(words: Said | string): string {
    const system = this.units.system();
    return typeof words === 'string' ? inWords(words, system) : readOut(words, system);
  }
}
