import { inject, Pipe, type PipeTransform } from '@angular/core';
import { type Text } from '#core/units/message';
import { type AnyMessage } from '#words/catalog';
import { read, readShort } from '#words/read';
import { type Reader } from '#words/reader';
import { ReaderHere } from '../../data/reader-here';

/** A message, in the language and the units of the reader. */
@Pipe({ name: 'said', pure: false })
export class SaidPipe implements PipeTransform {
  private readonly reader = inject(ReaderHere);

  /**
   * @param length 'short' for the first sentence of a message
   * @param scoop the measure in the hand, by which amounts are scooped
   */
  transform(text: Text<AnyMessage>, length: 'whole' | 'short' = 'whole', scoop?: Reader['scoop']): string {
    const reader = this.reader.now();
    return (length === 'short' ? readShort : read)(text, scoop ? { ...reader, scoop } : reader);
  }
}
