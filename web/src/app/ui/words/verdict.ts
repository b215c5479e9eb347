import { inject, Pipe, type PipeTransform } from '@angular/core';
import { findingsOf, verdictOf } from '#core/advise/findings';
import { type Judgement } from '#core/judge/judge';
import { inSentence } from '#words/formats';
import { type Severity } from '#core/judge/flag';
import { common } from '#words/en/places/common';
import { verdict as texts } from '#words/en/places/ui/words/verdict';
import { ReaderHere } from '../../data/reader-here';

/** How loudly it is said, in the word before it. */
export const severityWord = (severity: Severity): string =>
  severity === 'stop' ? texts.stopWord : severity === 'warn' ? common.watchOut : common.note;

/** One line on a mix: ready, or the loudest of what is wrong with it. */
export function verdictSays(judgement: Pick<Judgement, 'flags'>, reader: ReaderHere): string {
  const verdict = verdictOf(judgement);
  if (verdict === 'ready') return texts.readyToMix;
  const [first] = findingsOf(judgement).findings;
  const what = first ? inSentence(reader.short(first.cause.text)) : '';
  return (verdict === 'stop' ? texts.stop : texts.watchOut)(what);
}

@Pipe({ name: 'verdict', pure: false })
export class VerdictPipe implements PipeTransform {
  private readonly reader = inject(ReaderHere);

  transform(judgement: Pick<Judgement, 'flags'>): string {
    return verdictSays(judgement, this.reader);
  }
}
