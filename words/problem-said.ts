import { none } from '#core/units/message';
import { problems } from '#words/en/problems';
import { type Formats } from '#words/formats';
import { type FaultMessage, type ProblemMessage, type ProblemWords } from '#words/problem-facts';
import { formatsOf } from '#words/read';
import { type Language, type Reader } from '#words/reader';

const said: Record<Language, ProblemWords> = { en: problems };

/** What went wrong, in a few words and in full. */
export function problemSaid(message: ProblemMessage, reader: Reader): { title: string; detail: string } {
  const words = said[reader.language];
  const formats = formatsOf(reader);
  const detail = words[message.say] as (facts: unknown, formats: Formats) => string;
  return { title: words[`title.${message.say}`](none, formats), detail: detail(message.with, formats) };
}

/** Why a file is none: after what it is no. */
export const faultSaid = (why: FaultMessage, reader: Reader): string =>
  (said[reader.language][why.say] as (facts: unknown, formats: Formats) => string)(
    why.with,
    formatsOf(reader),
  );
