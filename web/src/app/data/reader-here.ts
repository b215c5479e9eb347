import { inject, Injectable } from '@angular/core';
import { type AnyMessage, type BareCode } from '#words/catalog';
import { OutOfRange, type Refusal } from '#core/units/check';
import { type Text } from '#core/units/message';
import { problemSays } from '#words/problem';
import { formatsOf, read, readShort, word } from '#words/read';
import { languageHere } from '#words/place';
import { languageOf, type Reader } from '#words/reader';
import { type Formats } from '#words/formats';
import { NurseryService } from './nursery';
import { Units } from './units';

/** Who reads this device: a language and a system of units. */
@Injectable({ providedIn: 'root' })
export class ReaderHere {
  private readonly units = inject(Units);
  private readonly nursery = inject(NurseryService);
  private last: Reader | null = null;

  /** The same object until units, language or day are others: a page may stay open overnight. */
  readonly now = (): Reader => {
    const language = languageOf(languageHere());
    const [units, today] = [this.units.system(), this.nursery.today()];
    const { last } = this;
    if (last?.units === units && last.today === today && last.language === language) return last;
    return (this.last = { language, units, today });
  };
  readonly formats = (): Formats => formatsOf(this.now());

  read(text: Text<AnyMessage>): string {
    return read(text, this.now());
  }

  /** What it says first. */
  short(text: Text<AnyMessage>): string {
    return readShort(text, this.now());
  }

  /** What a refusal says: by the label on the screen, in the reader's units. */
  problem(refusal: Refusal | string): string {
    return typeof refusal === 'string' ? refusal : problemSays(refusal, this.now());
  }

  /** What a form comes to, or why it comes to nothing. */
  attempt<T extends object | null>(make: () => T): T | { why: string } {
    try {
      return make();
    } catch (error) {
      if (error instanceof OutOfRange) return { why: this.problem(error) };
      throw error;
    }
  }

  word(code: BareCode): string {
    return word(code, this.now());
  }
}
