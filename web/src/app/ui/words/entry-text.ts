import { benchTests } from '#core/batch/tests/bench-tests';
import { type TestResult } from '#core/batch/tests/bench-test';
import { type EntryData } from '#contract/record';
import { said, type Said } from '#core/units/said';
import { fixed } from '#core/units/show';
import { entryText as texts } from '#words/en/places/ui/words/entry-text';

/** An entry of the record in a sentence. */
export function entryText(
  data: EntryData & { result?: TestResult },
  item: (id: string) => string,
  lot: (id: number) => string,
): string | Said {
  switch (data.kind) {
    case 'tick':
      return `${data.done ? texts.done : texts.notDoneAfterAll}: ${data.step.replaceAll('-', ' ')}${data.load > 0 ? texts.load(data.load + 1) : ''}`;
    case 'test': {
      const { result } = data;
      const values = Object.entries(data.values)
        .map(([name, value]) => `${name} ${value}`)
        .join(', ');
      return `${benchTests[data.test].name}: ${result ? `${fixed(result.value, 2)} ${result.unit}. ${result.says}` : values}`;
    }
    case 'correction':
      return texts.putRight(data.steps.join(' '));
    case 'lot':
      return texts.from(
        item(data.item),
        lot(data.lot),
        data.rest === undefined ? '' : texts.theRestFrom(lot(data.rest)),
      );
    case 'use':
      return texts.usedForOn(data.what, data.count, data.on);
    case 'left':
      return said`${{ volumeL: data.litres }} left in the tub`;
    case 'note':
      return data.text;
  }
}
