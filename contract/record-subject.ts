import { type EntryData } from '#contract/record';

/** What an entry is about: of two with the same subject the later one holds. */
export function subjectOf(data: EntryData): string {
  switch (data.kind) {
    case 'tick':
      return `tick/${data.step}/${data.load}`;
    case 'test':
      return `test/${data.test}`;
    case 'lot':
      return `lot/${data.item}`;
    default:
      return data.kind;
  }
}

/** Whether a later entry on a subject puts an earlier one out of force; uses and notes only add up. */
export const replaces = (data: EntryData): boolean => ['tick', 'test', 'lot'].includes(data.kind);
