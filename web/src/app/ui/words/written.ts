import { inject, Pipe, type PipeTransform } from '@angular/core';
import { dateIn, type Written } from '#words/days';
import { ReaderHere } from '../../data/reader-here';

/** A day or a moment as it is written by the calendar, in the reader's language; nothing where there is none. */
@Pipe({ name: 'written', pure: false })
export class WrittenPipe implements PipeTransform {
  private readonly reader = inject(ReaderHere);

  transform(at: string | number | Date | undefined, how: Written): string {
    return at === undefined ? '' : dateIn(at, how, this.reader.now().language);
  }
}
