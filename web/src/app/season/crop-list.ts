import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  signal,
  untracked,
} from '@angular/core';
import { type Crop, emergenceFrom, emergenceText, tasksFrom, tasksText } from '#core/season/crop';
import { calledSo } from '../ui/called-so';
import { Notices } from '../data/notices';
import { SeasonService, type SourcedCrop } from '../data/season';
import { FetchState } from '../ui/fetch-state';
import { ChoiceField } from '../ui/fields/choice-field';
import { type Asked, NumberList } from '../ui/fields/number-list';
import { TextField } from '../ui/fields/text-field';
import { TickField } from '../ui/fields/tick-field';
import { TableFiles } from '../ui/table-files';
import { StepsForm } from './steps-form';
import { cropList as texts } from '#words/en/places/season/crop-list';
import { common } from '#words/en/places/common';
import { ReaderHere } from '../data/reader-here';

type Figure =
  | ('coverMm' | 'perCell' | 'seedsPerCm2' | 'atLeaves' | 'germination' | 'plantOutDays' | 'earlierDays')
  | ('laterDays' | 'coldestC' | 'hardenDays' | 'firstFeedDays');
const figures: Asked<Figure>[] = [
  { name: 'perCell', label: texts.seedsOrCuttingsToA, within: 'seedsPerCell', whole: true },
  { name: 'seedsPerCm2', label: texts.seedsByArea, unit: 'per cm²', within: 'seedsPerCm2' },
  { name: 'germination', label: texts.comesUpOrRootsShare, within: 'germination' },
  { name: 'coverMm', label: texts.covered, unit: 'mm', within: 'coverMm' },
  { name: 'atLeaves', label: texts.thinnedOrPrickedOutAt, within: 'leaves', whole: true },
  {
    name: 'plantOutDays',
    label: texts.plantedDaysAfterTheLast,
    within: 'plantOutDays',
    whole: true,
  },
  { name: 'earlierDays', label: texts.mayBeEarlierByDays, within: 'moveDays', whole: true },
  { name: 'laterDays', label: texts.mayBeLaterByDays, within: 'moveDays', whole: true },
  { name: 'coldestC', label: texts.coldestNightItSurvives, unit: '°C', within: 'nightC' },
  { name: 'hardenDays', label: texts.hardenedOffDays, within: 'moveDays', whole: true },
  { name: 'firstFeedDays', label: texts.firstFeedDaysAfterComing, within: 'moveDays', whole: true },
];
const named = <T extends string>(names: Record<T, string>): { id: T; name: string }[] =>
  (Object.keys(names) as T[]).map((id) => ({ id, name: names[id] }));
const kinds = named({
  vegetable: texts.vegetable,
  herb: texts.herb,
  flower: texts.flower,
  woody: texts.woodyOrTender,
});
const starts = named({ sow: 'sown', stick: texts.fromCuttings, divide: 'divided' });
const lights = named({ light: 'light', dark: 'dark', either: 'either' });
const covers = named({
  none: 'nothing',
  vermiculite: texts.fineVermiculite,
  mix: texts.sievedMix,
  sand: 'sand',
});
const spares = named({
  thin: texts.thinnedToOne,
  prick: texts.prickedOut,
  keep: texts.allKeptInPlace,
});
const depths = named({ level: texts.atItsOldLevel, deep: texts.deepToTheFirstTrue });

/** Crops: what the library has, and one's own, each like another but for what is told. */
@Component({
  selector: 'app-crop-list',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './crop-list.html',
  styles: `
    .found {
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(min(100%, 330px), 1fr));
      gap: 0 32px;
    }
    .found li {
      display: flex;
      justify-content: space-between;
      align-items: center;
      gap: 12px;
      padding: 8px 0;
      border-bottom: 1px solid var(--hairline);
    }
    .form {
      margin-bottom: 18px;
      padding-bottom: 12px;
      border-bottom: 1px solid var(--ink);
    }
    .press {
      flex: none;
    }
    .find .press {
      justify-self: start;
      align-self: end;
    }
    h3 {
      margin: 14px 0 6px;
      font-size: var(--text);
    }
    @media (max-width: 600px) {
      .found {
        grid-template-columns: minmax(0, 1fr);
      }
    }
  `,
  imports: [ChoiceField, FetchState, NumberList, StepsForm, TableFiles, TextField, TickField],
})
export class CropList {
  protected readonly texts = texts;
  protected readonly common = common;
  private readonly reader = inject(ReaderHere);
  protected readonly service = inject(SeasonService);
  private readonly notices = inject(Notices);
  protected readonly figures = figures;
  protected readonly choices = { kinds, starts, lights, covers, spares, depths };
  protected readonly sought = signal('');
  /** Sought where it was not found: its form opens. */
  private readonly called = calledSo();
  protected readonly draft = signal<Crop | null>(null);
  protected readonly like = signal<SourcedCrop | null>(null);
  protected readonly emergence = signal('');
  protected readonly tasks = signal('');
  protected readonly problem = signal('');

  protected readonly likes = computed(() =>
    (this.service.crops.value() ?? []).map(({ id, name }) => ({ id, name })),
  );

  constructor() {
    effect(() => {
      if (this.called !== '' && this.likes().length > 0 && !untracked(this.draft))
        untracked(() => this.add(this.called));
    });
  }

  /** A crop of one's own: the figures of another until they are changed. */
  protected add(name: string): void {
    const all = this.service.crops.value() ?? [];
    const first = this.found()[0] ?? all[0];
    if (!first) return;
    this.take(first, false);
    this.patch({ name });
  }

  protected likeAnother(id: string | null): void {
    const other = (this.service.crops.value() ?? []).find((each) => each.id === id);
    const name = this.draft()?.name ?? '';
    if (!other) return;
    this.take(other, false);
    this.patch({ name });
  }

  protected readonly found = computed(() => {
    const words = this.sought().trim().toLowerCase();
    return (this.service.crops.value() ?? []).filter(({ name }) => name.toLowerCase().includes(words));
  });
  protected readonly emergenceProblem = computed(() => {
    const read = this.reader.attempt(() => ({ it: emergenceFrom(this.emergence()) }));
    return 'why' in read ? read.why : '';
  });
  protected readonly tasksProblem = computed(() => {
    const read = this.reader.attempt(() => ({ it: tasksFrom(this.tasks()) }));
    return 'why' in read ? read.why : '';
  });
  protected readonly changing = computed(() => this.like()?.own === true && this.draft()?.id !== '');
  protected readonly ready = computed(
    () => !!this.draft()?.name.trim() && !this.emergenceProblem() && !this.tasksProblem(),
  );

  protected says({ steps, start, plantOutDays }: Crop): string {
    const weeks = steps.reduce((sum, step) => sum + step.weeks, 0);
    const when =
      plantOutDays === 0
        ? texts.outAtTheLastFrost
        : texts.outDaysTheLastFrost(Math.abs(plantOutDays), plantOutDays > 0 ? 'after' : 'before');
    const begun = { sow: 'sown', stick: 'stuck', divide: 'divided' }[start];
    return texts.weeksIn(
      begun,
      weeks,
      steps.length === 1 ? texts.oneVessel : texts.vessels(steps.length),
      when,
    );
  }

  protected take(each: SourcedCrop, change: boolean): void {
    const { source: _, own: __, ...crop } = each;
    this.like.set(each);
    this.draft.set({ ...crop, ...(!change && { id: '', name: texts.ours(crop.name) }) });
    this.emergence.set(emergenceText(crop.emergence));
    this.tasks.set(tasksText(crop.tasks));
    this.problem.set('');
    scrollTo({ top: 0 });
  }

  protected patch(change: Partial<Crop>): void {
    this.draft.update((now) => (now ? { ...now, ...change } : now));
  }

  protected pick<K extends 'kind' | 'start' | 'light' | 'cover' | 'spares' | 'depth'>(
    key: K,
    id: string | null,
  ): void {
    if (id) this.patch({ [key]: id as Crop[K] });
  }

  protected typed([name, value]: [Figure, number | undefined]): void {
    if (value !== undefined || name === 'seedsPerCm2') this.patch({ [name]: value });
  }

  protected keep(): void {
    const [draft, like] = [this.draft(), this.like()];
    if (!draft || !like) return;
    const { id, ...crop } = draft;
    const made = {
      ...crop,
      name: crop.name.trim(),
      emergence: emergenceFrom(this.emergence()),
      tasks: tasksFrom(this.tasks()),
    };
    const says = id === '' ? texts.yoursLike(like.name) : like.source;
    this.service.keepCrop(id === '' ? null : id, says, made).subscribe({
      next: () => {
        this.draft.set(null);
        this.notices.say(texts.isSavedWithYourCrops(made.name));
      },
      error: (error: Error) => this.problem.set(texts.notKept(error.message)),
    });
  }
}
