import { inject, Pipe, type PipeTransform } from '@angular/core';
import { type Text } from '#core/units/message';
import { inWords } from '#core/units/said';
import { type AnyMessage } from '#words/catalog';
import { read, readShort } from '#words/read';
import { ReaderHere } from '../../data/reader-here';

/** A message, or words with numbers in them, in the units of the reader. */
@Pipe({ name: 'said', pure: false })
export class SaidPipe implements PipeTransform {
  private readonly reader = inject(ReaderHere);

  /** @param length 'short' for the first sentence of a message */
  transform(words: Text<AnyMessage> | string, length: 'whole' | 'short' = 'whole'): string {
    const reader = this.reader.now();
    if (typeof words === 'string') return inWords(words, reader.units);
    return (length === 'short' ? readShort : read)(words, reader);
  }
}
