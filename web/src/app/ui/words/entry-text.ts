import { type TestResult } from '#core/batch/tests/bench-test';
import { type EntryData, type KeptData } from '#contract/record';
import { formatsOf, read, word } from '#words/read';
import { type Reader } from '#words/reader';
import { entryText as texts } from '#words/en/places/ui/words/entry-text';

/** An entry of the record in a sentence. */
export function entryText(
  data: KeptData | (EntryData & { result?: TestResult }),
  reader: Reader,
  item: (id: string) => string,
  lot: (id: number) => string,
): string {
  switch (data.kind) {
    case 'tick':
      return `${data.done ? texts.done : texts.notDoneAfterAll}: ${data.step.replaceAll('-', ' ')}${data.load > 0 ? texts.load(data.load + 1) : ''}`;
    case 'test': {
      const { result } = data;
      const values = Object.entries(data.values)
        .map(([name, value]) => `${name} ${value}`)
        .join(', ');
      const name = word(`test.${data.test}.name`, reader);
      if (!result) return `${name}: ${values}`;
      const [value, says] = (['value', 'says'] as const).map((part) =>
        read({ say: `test.${data.test}.${part}`, with: result }, reader),
      );
      return `${name}: ${value!}. ${says!}`;
    }
    case 'correction':
      return texts.putRight(
        data.steps.map((step) => (typeof step === 'string' ? step : read(step, reader))).join(' '),
      );
    case 'lot':
      return texts.from(
        item(data.item),
        lot(data.lot),
        data.rest === undefined ? '' : texts.theRestFrom(lot(data.rest)),
      );
    case 'use':
      return !('topped' in data) || data.topped === undefined
        ? texts.usedForOn(data.what, data.count, data.on)
        : texts.toppedUpOn(data.what, data.on, formatsOf(reader).volume(data.litres ?? 0));
    case 'left':
      return texts.leftInTheTub(formatsOf(reader).volume(data.litres));
    case 'made':
      return texts.made;
    case 'undo':
      return texts.undone;
    case 'same':
      return data.same ? texts.same : texts.two;
    case 'note':
      return data.text;
  }
}
