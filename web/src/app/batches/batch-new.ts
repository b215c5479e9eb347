import { OutOfRange } from '#core/units/check';
import { type About } from '#contract/about';
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { fittingScoop } from '#core/batch/scoops';
import { snapshotBatch, type BatchSnapshot } from '#core/batch/snapshot';
import { BatchesService } from '../data/batches';
import { keptHere } from '../data/making';
import { MadeForChoice } from '../data/made-for';
import { SeasonService } from '../data/season';
import { NurseryService } from '../data/nursery';
import { Notices } from '../data/notices';
import { ApproachChoice } from '../data/approach-choice';
import { ScoopChoice } from '../data/scoop-choice';
import { Units } from '../data/units';
import { RecipeStore } from '../bench/recipe-store';
import { DayField } from '../ui/fields/day-field';
import { TextField } from '../ui/fields/text-field';
import { TypedDay } from '../ui/fields/typed-day';
import { stageNames } from '../ui/words/words';
import { KitChoice } from '../data/kit-choice';
import { ShedSays } from '../bench/shed-says';
import { BatchRemarks } from '../ui/batch-remarks';
import { ComesForm } from './comes-form';
import { KitForm } from './kit-form';
import { BatchCard } from './batch-card';
import { ScoopPicker } from './scoop-picker';
import { batchNew as texts } from '#words/en/places/batches/batch-new';
import { common } from '#words/en/places/common';
import { ReaderHere } from '../data/reader-here';

/** The card of the recipe on the bench, before it is kept. */
@Component({
  selector: 'app-batch-new',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './batch-new.html',
  styleUrl: './batch-page.scss',
  imports: [
    BatchCard,
    BatchRemarks,
    ComesForm,
    DayField,
    KitForm,
    RouterLink,
    ScoopPicker,
    ShedSays,
    TextField,
  ],
})
export class BatchNew {
  protected readonly texts = texts;
  protected readonly common = common;
  private readonly reader = inject(ReaderHere);
  private readonly store = inject(RecipeStore);
  private readonly batches = inject(BatchesService);
  private readonly router = inject(Router);
  private readonly notices = inject(Notices);
  private readonly approach = inject(ApproachChoice).approach;
  private readonly units = inject(Units);
  private readonly nursery = inject(NurseryService);
  private readonly kit = inject(KitChoice).kit;
  private readonly madeFor = inject(MadeForChoice);
  private readonly season = inject(SeasonService);

  protected readonly name = signal(this.proposedName());
  protected readonly madeOn = new TypedDay(this.nursery.today);
  protected readonly busy = signal(false);
  protected readonly problem = signal('');

  protected readonly nameProblem = computed(() => {
    const length = this.name().trim().length;
    return length >= 1 && length <= 80 ? '' : texts.aNameMustHave1(length);
  });

  private readonly sent = computed(() => (this.freed() ? null : this.madeFor.of(this.store.recipe())));
  private readonly freed = signal(false);
  /** Empty for a batch of its own. */
  protected readonly forSeason = computed(() => {
    const count = this.sent()?.steps.length ?? 0;
    return count === 0
      ? ''
      : texts.forTheSeasonForIt(count === 1 ? texts.oneSowingWaits : texts.sowingsWait(count));
  });

  protected notForSeason(): void {
    this.madeFor.forget();
    this.freed.set(true);
  }

  protected readonly snapshot = computed((): BatchSnapshot | null => {
    const library = this.store.library();
    if (!library) return null;
    try {
      const system = this.units.system();
      return snapshotBatch(
        this.store.recipe(),
        library,
        {
          units: system,
          scoop: fittingScoop(this.store.litres() / 6, system).id,
        },
        this.kit(),
        this.approach(),
      );
    } catch (error) {
      if (error instanceof OutOfRange) return null;
      throw error;
    }
  });
  protected readonly scoop = inject(ScoopChoice).of(signal('new'), this.snapshot);

  protected readonly materials = computed(() =>
    this.store.recipe().components.flatMap(({ material: id }) => {
      const material = this.store.library()?.materials.get(id);
      return material ? [material] : [];
    }),
  );

  /** It has a stop: made only once somebody says so, below what says why. */
  protected readonly stops = computed(
    () => this.snapshot()?.flags.some(({ severity }) => severity === 'stop') ?? false,
  );

  protected keep(anyway = false): void {
    if (this.nameProblem() || this.madeOn.problem()) return;
    this.busy.set(true);
    this.problem.set('');
    const opened = this.store.opened();
    const mixVersionId = opened && !this.store.changed() ? opened.id : null;
    const steps = this.sent()?.steps ?? [];
    const keys = this.season.plan.value()?.keys ?? {};
    const about: About[] = [
      ...(mixVersionId !== null && opened?.key
        ? [{ kind: 'version' as const, id: opened.id, key: opened.key }]
        : []),
      ...[...new Set(steps.map(({ line }) => line))].flatMap((id) => {
        const key = keys[String(id)];
        return key === undefined ? [] : [{ kind: 'line' as const, id, key }];
      }),
    ];
    const batch = {
      name: this.name().trim(),
      recipe: this.store.recipe(),
      mixVersionId,
      madeOn: this.madeOn.value(),
      units: this.units.system(),
      scoop: this.scoop.id(),
      school: this.approach().id,
      kit: this.kit(),
      madeFor: steps,
      anyway,
    };
    this.batches.keep(batch, about).subscribe({
      next: (batch) => {
        this.madeFor.forget();
        if (!batch) {
          this.notices.say(keptHere(texts.batch(this.name().trim())));
          void this.router.navigate(['/batches'], { replaceUrl: true });
          return;
        }
        this.season.plan.refresh();
        this.notices.say(texts.batchIsSaved(batch.id));
        void this.router.navigate(['/batches', batch.id], { replaceUrl: true });
      },
      error: (error: Error) => {
        this.busy.set(false);
        this.problem.set(texts.notKept(error.message));
      },
    });
  }

  private proposedName(): string {
    const opened = this.store.opened();
    const sent = this.madeFor.of(this.store.recipe());
    if (sent) return sent.name;
    return (
      opened?.name ??
      `${stageNames[this.store.recipe().stage].name}, ${this.reader.formats().title(this.store.kind())}`
    );
  }
}
