import { packets as packetTexts } from '#words/en/places/plants/packets';
import { packetsFor } from './packets';
import { LotsService } from '../data/lots';
import { LEAST_BLOCKS, TRAYS_AS_UNITS } from '#core/plants/trial';
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { limits } from '#core/units/limits';
import { BatchesService } from '../data/batches';
import { LibraryService } from '../data/library';
import { NurseryService } from '../data/nursery';
import { PlantsService } from '../data/plants';
import { SeasonService } from '../data/season';
import { ChoiceField } from '../ui/fields/choice-field';
import { NumberField } from '../ui/fields/number-field';
import { TextField } from '../ui/fields/text-field';
import { FetchState } from '../ui/fetch-state';
import { enough } from './enough';
import { trialList as texts } from '#words/en/places/plants/trial-list';
import { common } from '#words/en/places/common';
import { DayPipe } from '../ui/words/day';

/** Fair trials: those that were laid out, and a new one. */
@Component({
  selector: 'app-trial-list',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <app-fetch-state [of]="trials" [what]="texts.theTrials" />
    <ul class="rows">
      @for (trial of trials.value() ?? []; track trial.id) {
        <li>
          <a [routerLink]="['/plants/trials', trial.id]"
            ><b>{{ trial.name }}</b></a
          >
          <span class="term">{{ texts.mixesInGroups(trial.on | day, trial.arms.length, trial.blocks) }}</span>
        </li>
      } @empty {
        @if (trials.value()) {
          <li>{{ texts.noTrialsYet }}</li>
        }
      }
    </ul>
    <h2>{{ texts.newTrial }}</h2>
    <p>
      {{ texts.aGroupIsOnePlace }}
    </p>
    <form (submit)="$event.preventDefault(); ready() && layOut()">
      <div class="fields">
        <app-text-field [label]="texts.whatIsAsked" [(value)]="name" />
        <app-choice-field [label]="common.crop" [choices]="crops()" [(value)]="crop" />
        <app-choice-field [label]="common.into" [choices]="vessels()" [(value)]="vessel" />
        <app-number-field
          [label]="texts.cellsInEachTray"
          within="plantCells"
          [whole]="true"
          [(value)]="cells"
        />
        <app-number-field [label]="texts.blocks" within="trialBlocks" [whole]="true" [(value)]="blocks" />
        <app-number-field
          [label]="texts.startingNumberOfTheOrder"
          within="seed"
          [whole]="true"
          [(value)]="seed"
        />
      </div>
      @if (packets().length > 0) {
        <div class="fields">
          <app-choice-field
            [label]="packetTexts.packet"
            [none]="texts.ofNoPacket"
            [choices]="packets()"
            [(value)]="packet"
          />
        </div>
      }
      @for (arm of arms(); track $index; let i = $index) {
        <div class="fields">
          <app-text-field
            [label]="texts.arm + (i + 1)"
            [value]="arm.name"
            (valueChange)="setArm(i, { name: $event })"
          />
          <app-choice-field
            [label]="texts.batchOfArm + (i + 1)"
            [none]="texts.ofNoBatch"
            [choices]="batches()"
            [value]="arm.batch"
            (valueChange)="setArm(i, { batch: $event || null })"
          />
        </div>
      }
      <button
        type="button"
        class="press quiet"
        [disabled]="arms().length >= limits.trialArms[1]"
        (click)="addArm()"
      >
        {{ texts.anotherArm }}
      </button>
      <p>{{ says() }}</p>
      @if (problem()) {
        <p class="wrong" role="alert">{{ problem() }}</p>
      }
      <button type="submit" class="press next" [disabled]="busy() || !ready()">{{ common.save }}</button>
    </form>
  `,
  imports: [DayPipe, ChoiceField, FetchState, NumberField, RouterLink, TextField],
})
export class TrialList {
  protected readonly texts = texts;
  protected readonly common = common;
  private readonly plants = inject(PlantsService);
  private readonly router = inject(Router);
  private readonly nursery = inject(NurseryService);
  private readonly library = inject(LibraryService).library;
  private readonly season = inject(SeasonService);
  private readonly lots = inject(LotsService).all;
  private readonly batchLines = inject(BatchesService).list('no');
  protected readonly trials = this.plants.trials();
  protected readonly limits = limits;
  protected readonly name = signal('');
  protected readonly crop = signal<string | null>('lettuce');
  protected readonly vessel = signal<string | null>('cell-72');
  protected readonly cells = signal<number | undefined>(72);
  protected readonly blocks = signal<number | undefined>(LEAST_BLOCKS);
  protected readonly seed = signal<number | undefined>(1 + Math.floor(Math.random() * 99_999));
  protected readonly arms = signal<readonly { name: string; batch: string | null }[]>([
    { name: texts.asEver, batch: null },
    { name: texts.newIt, batch: null },
  ]);
  protected readonly packetTexts = packetTexts;
  protected readonly packet = signal<string | null>(null);
  protected readonly packets = computed(() => {
    const crop = (this.season.crops.value() ?? []).find(({ id }) => id === this.crop());
    return packetsFor(crop?.name ?? '', this.lots.value() ?? []);
  });
  protected readonly busy = signal(false);
  protected readonly problem = signal('');
  protected readonly crops = computed(() =>
    (this.season.crops.value() ?? []).map(({ id, name }) => ({ id, name })),
  );
  protected readonly vessels = computed(() =>
    [...(this.library()?.vessels.values() ?? [])].map(({ id, name }) => ({ id, name })),
  );
  protected readonly batches = computed(() =>
    (this.batchLines.lines.value() ?? []).map(({ id, name, madeOn }) => ({
      id: String(id),
      name: `${name}, ${madeOn}`,
    })),
  );
  protected readonly ready = computed(
    () =>
      this.name().trim() !== '' &&
      this.cells() !== undefined &&
      this.blocks() !== undefined &&
      this.seed() !== undefined &&
      this.arms().every((arm) => arm.name.trim() !== ''),
  );
  /** Whether it can tell anything, before it is begun. */
  protected readonly says = computed(() => {
    const [cells, blocks] = [this.cells(), this.blocks()];
    if (cells === undefined || blocks === undefined) return '';
    const few = blocks >= TRAYS_AS_UNITS && blocks < LEAST_BLOCKS;
    return few ? texts.fewGroupsTellNothing(LEAST_BLOCKS) : enough(cells * blocks, blocks >= TRAYS_AS_UNITS);
  });

  protected setArm(at: number, change: { name?: string; batch?: string | null }): void {
    this.arms.update((arms) => arms.map((arm, i) => (i === at ? { ...arm, ...change } : arm)));
  }

  protected addArm(): void {
    this.arms.update((arms) => [...arms, { name: '', batch: null }]);
  }

  protected layOut(): void {
    this.busy.set(true);
    this.problem.set('');
    this.plants
      .layOut({
        ...{ name: this.name().trim(), seed: this.seed()!, blocks: this.blocks()!, cells: this.cells()! },
        ...{ crop: this.crop()!, vessel: this.vessel()!, perCell: 1, on: this.nursery.today() },
        packet: this.packet() ? Number(this.packet()) : null,
        arms: this.arms().map(({ name, batch }) => ({
          name: name.trim(),
          batch: batch ? Number(batch) : null,
        })),
      })
      .subscribe({
        next: ({ id }) => void this.router.navigate(['/plants/trials', id]),
        error: (error: Error) => {
          this.busy.set(false);
          this.problem.set(texts.notLaidOut(error.message));
        },
      });
  }
}
