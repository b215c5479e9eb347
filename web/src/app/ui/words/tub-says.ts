import { type BatchStand } from '#core/batch/state';
import { startOf } from '#core/plants/planting';
import { dayFrom } from '#words/days';
import { tubSays as texts } from '#words/en/places/ui/words/tub-says';
import { type Reader } from '#words/reader';
import { formatsOf } from '#words/read';

/** What is begun in a tub of a stage, to be pressed. */
export const beginWord = (stage: string | undefined): string => texts[startOf(stage)];

/** Something to be minded about a tub: in a sentence, and in a few words. */
export interface TubRemark {
  id: 'unmade' | 'rests' | 'high' | 'test' | 'over';
  severity: 'warn' | 'note';
  text: string;
  short: string;
}

/** What is to be minded before anything is sown or potted from a tub, the loudest first. */
export function tubSays(
  { state, overLitres }: { state: BatchStand; overLitres: number },
  reader: Reader,
  today: string,
): TubRemark[] {
  const formats = formatsOf(reader);
  const says: TubRemark[] = [];
  const say = (id: TubRemark['id'], severity: TubRemark['severity'], text: string, short: string): void => {
    says.push({ id, severity, text, short });
  };
  if (!state.made) {
    say('unmade', 'note', texts.notMixedYet(state.done, state.of), texts.notMixed);
    return says;
  }
  if (state.phTooHigh !== null) {
    const ph = formats.ph(state.phTooHigh);
    say('high', 'warn', texts.tooHigh(ph), texts.high(ph));
  }
  if (state.restsUntil !== null) {
    const day = dayFrom(state.restsUntil, today, reader.language);
    say('rests', 'warn', texts.rests(day), texts.resting(day));
  }
  if (overLitres > 0) say('over', 'warn', texts.over(formats.volume(overLitres)), texts.count);
  if (state.toTest) say('test', 'note', texts.toTest, texts.test);
  return says;
}
