import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { addressOf } from '#contract/routes';
import { labelSizes } from '#core/batch/label-sizes';
import { partsKey } from '#core/recipe/parts-key';
import { type Recipe } from '#core/recipe/recipe';
import { Router, RouterLink } from '@angular/router';
import { BatchesService, type Batch } from '../data/batches';
import { MixesService } from '../data/mixes';
import { Notices } from '../data/notices';
import { ScoopChoice } from '../data/scoop-choice';
import { RecipeStore } from '../bench/recipe-store';
import { resourceOf } from '../data/resource';
import { ApproachChoice } from '../data/approach-choice';
import { keptHere } from '../data/making';
import { NurseryService } from '../data/nursery';
import { ReaderHere } from '../data/reader-here';
import { Money } from '../data/money';
import { Units } from '../data/units';
import { FetchState } from '../ui/fetch-state';
import { BinFill } from '../ui/pictures/bin-fill';
import { Amount } from '../ui/words/amount';
import { beginWord, type TubRemark, tubSays } from '../ui/words/tub-says';
import { BatchCard } from './batch-card';
import { CorrectBatch } from '../bench/correct-batch';
import { WhatBecame } from '../bench/what-became';
import { ScoopPicker } from './scoop-picker';
import { batchPage as texts } from '#words/en/places/batches/batch-page';
import { common } from '#words/en/places/common';

/** A kept batch: its card as it was on the day. */
@Component({
  selector: 'app-batch-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './batch-page.html',
  styleUrl: './batch-page.scss',
  imports: [Amount, BatchCard, BinFill, CorrectBatch, FetchState, RouterLink, ScoopPicker, WhatBecame],
})
export class BatchPage {
  protected readonly texts = texts;
  protected readonly common = common;
  readonly id = input.required<string>();
  private readonly batches = inject(BatchesService);
  private readonly router = inject(Router);
  private readonly notices = inject(Notices);
  private readonly store = inject(RecipeStore);
  private readonly mixes = inject(MixesService);

  protected readonly fetched = resourceOf(this.id, (id) => this.batches.one(id));
  private readonly snapshot = computed(() => this.fetched.value()?.snapshot ?? null);
  protected readonly scoop = inject(ScoopChoice).of(this.id, this.snapshot);

  protected readonly busy = signal(false);
  private readonly nursery = inject(NurseryService);
  private readonly units = inject(Units);
  private readonly money = inject(Money);
  private readonly reader = inject(ReaderHere);
  private readonly approach = inject(ApproachChoice).approach;

  protected begin({ snapshot }: Batch): string {
    return beginWord(snapshot.recipe.stage);
  }

  protected minds(batch: Batch): TubRemark[] {
    return tubSays(batch, this.reader.now(), this.nursery.today());
  }

  /** The card on one page, as it is counted here. */
  protected card({ id }: Batch): string {
    const query = { units: this.units.system(), scoop: this.scoop.id(), sign: this.money.sign() };
    return addressOf('card', { id }, query);
  }

  /** Two dozen of the usual size; others are chosen where it is made. */
  protected labels({ id }: Batch): string {
    const query = { size: labelSizes[0]!.id, count: '24', units: this.units.system() };
    return addressOf('labels', { id }, query);
  }

  /** The same recipe, job, measures and name, made today. */
  protected again(batch: Batch): void {
    const { snapshot, mixVersionId, name } = batch;
    if (snapshot.flags.some(({ severity }) => severity === 'stop')) {
      this.notices.say(texts.hasAStop);
      this.mixAgain(batch);
      return;
    }
    this.busy.set(true);
    const body = {
      ...{ name, mixVersionId, recipe: snapshot.recipe, madeOn: this.nursery.today() },
      ...{ units: this.units.system(), scoop: this.scoop.id(), school: this.approach().id },
      ...(snapshot.kit && { kit: snapshot.kit }),
    };
    this.batches.keep(body, []).subscribe({
      next: (made) => {
        if (!made) this.notices.say(keptHere(texts.batch(name)));
        void this.router.navigate(made ? ['/batches', made.id, 'run'] : ['/batches']);
      },
      error: (error: Error) => {
        this.busy.set(false);
        this.notices.say(texts.notMade(error.message));
      },
    });
  }

  protected mixAgain(batch: Batch): void {
    // Of a saved recipe it stays that, whatever was asked of it.
    const mix = (this.mixes.all.value() ?? []).find(({ mixId }) => mixId === batch.mixId) ?? null;
    const same = mix && partsKey(mix.recipe) === partsKey(batch.snapshot.recipe) ? mix : null;
    this.store.set(batch.snapshot.recipe, `again ${batch.id}`, same);
    void this.router.navigateByUrl('/mix');
  }

  /** Of a kept mix it becomes the next version. */
  protected change(batch: Batch, { recipe, why }: { recipe: Recipe; why: string }): void {
    const kept = (this.mixes.all.value() ?? []).find(({ id }) => id === batch.mixVersionId) ?? null;
    this.store.changeFor(recipe, kept, why);
    void this.router.navigateByUrl('/mix');
  }

  protected putAway(batch: Batch): void {
    this.batches.putAway(batch.id).subscribe({
      next: () => {
        this.notices.undoable(texts.isArchived(batch.name), () => this.batches.bringBack(batch.id));
        void this.router.navigateByUrl('/batches');
      },
      error: (error: Error) => this.notices.say(texts.notArchived(error.message)),
    });
  }
}
