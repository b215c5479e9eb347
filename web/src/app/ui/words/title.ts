import { inject, Pipe, type PipeTransform } from '@angular/core';
import { type Named } from '#core/units/message';
import { nameIn } from '#words/names';
import { ReaderHere } from '../../data/reader-here';

/** The name of a material, product or vessel, the sizes in it in the reader's units; one's own as it was written. */
@Pipe({ name: 'title', pure: false })
export class TitlePipe implements PipeTransform {
  private readonly reader = inject(ReaderHere);

  transform(thing: Named | string): string {
    return typeof thing === 'string'
      ? nameIn(thing, this.reader.now().units)
      : this.reader.formats().title(thing);
  }
}
