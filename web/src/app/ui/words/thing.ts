import { inject, Pipe, type PipeTransform } from '@angular/core';
import { type Named } from '#core/units/message';
import { ReaderHere } from '../../data/reader-here';

/** A material or product inside a sentence: small where it is of the library, as its owner wrote it where it is one's own. */
@Pipe({ name: 'thing', pure: false })
export class ThingPipe implements PipeTransform {
  private readonly reader = inject(ReaderHere);

  transform(thing: Named): string {
    return this.reader.formats().name(thing);
  }
}
