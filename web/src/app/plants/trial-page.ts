import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  input,
  linkedSignal,
  signal,
  untracked,
} from '@angular/core';
import { RouterLink } from '@angular/router';
import { addressOf } from '#contract/routes';
import { trialVerdict } from '#core/plants/trial';
import { NurseryService } from '../data/nursery';
import { PlantRecordService } from '../data/plant-record';
import { PlantsService, type Trial } from '../data/plants';
import { type ForPlanting } from '../data/outbox-store';
import { resourceOf } from '../data/resource';
import { Units } from '../data/units';
import { FetchState } from '../ui/fetch-state';
import { ShareRulers } from './share-rulers';
import { trialPage as texts } from '#words/en/places/plants/trial-page';
import { common } from '#words/en/places/common';
import { ReaderHere } from '../data/reader-here';
import { DayPipe } from '../ui/words/day';

type Tray = Trial['trays'][number];

/** A trial: where each tray stands, what came up in it, and in one sentence what came out. */
@Component({
  selector: 'app-trial-page',
  providers: [PlantRecordService],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <app-fetch-state [of]="fetched" [what]="texts.theTrial" />
    @if (fetched.value(); as trial) {
      <h2>{{ trial.name }}</h2>
      <p class="term">
        {{ texts.sownCellsInEachOf(trial.on | day, trial.cells, trial.trays.length, trial.seed) }}
      </p>
      <p class="verdict" role="status">{{ says() }}</p>
      @if (verdict(); as it) {
        <app-share-rulers [arms]="arms()" [shares]="it.shares" />
      }
      <h2>{{ texts.traysInTheirPlacesTo }}</h2>
      <div class="blocks">
        @for (block of blocks(); track block.block) {
          <section [attr.aria-label]="texts.block + block.block">
            <h3>{{ texts.block2(block.block) }}</h3>
            @for (tray of block.trays; track tray.planting) {
              <form class="tray" (submit)="$event.preventDefault(); count(tray, box.value)">
                <label [for]="'tray-' + tray.planting"
                  ><b>{{ trial.arms[tray.arm]!.name }}</b
                  >&ngsp; <a [routerLink]="['/plants', tray.planting]">{{ texts.tray(tray.place) }}</a></label
                >
                <input
                  #box
                  class="field"
                  inputmode="numeric"
                  autocomplete="off"
                  [id]="'tray-' + tray.planting"
                  [value]="tray.up ?? ''"
                  [attr.aria-invalid]="wrong()?.tray === tray.planting ? true : null"
                />
                <button type="submit" class="press">
                  {{ common.save
                  }}<span class="visually-hidden">
                    {{ texts.theCountOfTrayBlock(tray.place, block.block) }}</span
                  >
                </button>
                @for (each of refusedOf(tray.planting); track each.key) {
                  <p class="wrong" role="alert">
                    {{ texts.notSaved(each.why) }}
                    <button type="button" class="press" (click)="record.leaveIt(each.key)">
                      {{ common.delete }}
                    </button>
                  </p>
                }
                @if (wrong()?.tray === tray.planting) {
                  <p class="wrong" role="alert">{{ wrong()!.says }}</p>
                }
              </form>
            }
          </section>
        }
      </div>
      <a class="press" [href]="labels()" target="_blank" rel="noopener">{{ texts.labelsForTheTrays }}</a>
      <button type="button" class="press quiet" (click)="print()">{{ texts.printTheLayout }}</button>
    }
  `,
  styles: `
    .verdict {
      margin: 12px 0;
      font-size: var(--head);
      font-weight: 650;
    }
    .blocks {
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(min(100%, 280px), 1fr));
      gap: 12px 32px;
      margin-bottom: 16px;
    }
    h3 {
      margin: 8px 0 4px;
      font-size: var(--text);
      font-weight: 650;
    }
    .tray {
      display: grid;
      grid-template-columns: minmax(0, 1fr) 90px auto;
      gap: 4px 8px;
      align-items: center;
      padding: 4px 0;
      border-bottom: 1px solid var(--hairline);
    }
    .tray .wrong {
      grid-column: 1 / -1;
    }
    @media print {
      .verdict,
      app-share-rulers,
      button {
        display: none;
      }
      .tray {
        break-inside: avoid;
        border: 1px solid var(--ink);
        padding: 8px;
      }
    }
  `,
  imports: [DayPipe, FetchState, RouterLink, ShareRulers],
})
export class TrialPage {
  protected readonly texts = texts;
  protected readonly common = common;
  private readonly reader = inject(ReaderHere);
  readonly id = input.required<string>();
  private readonly plants = inject(PlantsService);
  private readonly nursery = inject(NurseryService);
  private readonly units = inject(Units);
  protected readonly record = inject(PlantRecordService);
  protected readonly fetched = resourceOf(this.id, (id) => this.plants.trial(id));
  /** Counts of this device that were taken before the trial was told last: they are in it. */
  private readonly counted = linkedSignal({
    source: this.fetched.value,
    computation: () => new Set(untracked(this.record.own).flatMap(({ key, sent }) => (sent ? [key] : []))),
  });
  /** Trays with what this device counted since. */
  private readonly trays = computed((): readonly Tray[] =>
    (this.fetched.value()?.trays ?? []).map((tray) => {
      const counted = this.record
        .own()
        .findLast((ownEvent) => ownEvent.planting === tray.planting && ownEvent.kind === 'up');
      return counted?.kind === 'up' && !this.counted().has(counted.key)
        ? { ...tray, up: counted.count }
        : tray;
    }),
  );
  protected readonly wrong = signal<{ tray: number; says: string } | null>(null);

  protected readonly blocks = computed(() => {
    const blocks = new Map<number, Tray[]>();
    for (const tray of this.trays()) blocks.set(tray.block, [...(blocks.get(tray.block) ?? []), tray]);
    return [...blocks].map(([block, trays]) => ({ block, trays: trays.sort((a, b) => a.place - b.place) }));
  });
  /** Trays that are counted, together by arm. */
  protected readonly arms = computed(() => {
    const trial = this.fetched.value();
    return (trial?.arms ?? []).map(({ name }, arm) => {
      const trays = this.trays().filter((each) => each.arm === arm && each.up !== null);
      const sum = (of: (tray: Tray) => number): number => trays.reduce((all, tray) => all + of(tray), 0);
      return { name, alive: sum((tray) => Math.min(tray.up!, tray.begun)), of: sum((tray) => tray.begun) };
    });
  });
  private readonly judged = computed(() => {
    if (this.arms().length < 2 || !this.arms().every((arm) => arm.of > 0)) return null;
    const counted = this.trays().flatMap(({ arm, block, up, begun }) =>
      up === null ? [] : [{ arm, block, alive: Math.min(up, begun), of: begun }],
    );
    return trialVerdict(this.arms(), counted, texts.cameUp, this.fetched.value()!.seed);
  });
  protected readonly verdict = computed(() => this.judged()?.verdict ?? null);
  protected readonly says = computed(() => {
    const trays = this.trays();
    const open = trays.filter((tray) => tray.up === null).length;
    const still = open === 0 ? '' : texts.ofTraysAreNotCounted(open, trays.length);
    const verdict = this.verdict();
    const warning = this.judged()?.more;
    return [
      verdict ? this.reader.read(verdict.says) : texts.noResultBeforeEachMix,
      warning && this.reader.read(warning),
      still.trim(),
    ]
      .filter(Boolean)
      .join(' ');
  });

  protected readonly labels = computed(() =>
    addressOf('trialLabels', { id: Number(this.id()) }, { units: this.units.system() }),
  );

  constructor() {
    this.record.follow(() => this.fetched.refresh());
  }

  protected count(tray: Tray, typed: string): void {
    const count = Number(typed.trim());
    if (typed.trim() === '' || !Number.isInteger(count) || count < 0 || count > tray.begun) {
      this.wrong.set({ tray: tray.planting, says: texts.aWholeNumberFrom0(tray.begun, typed) });
      return;
    }
    this.wrong.set(null);
    this.record.enter({ id: tray.planting, key: tray.key }, { kind: 'up', on: this.nursery.today(), count });
  }

  protected refusedOf(planting: number): readonly ForPlanting[] {
    return this.record.refused().filter((forPlanting) => forPlanting.planting === planting);
  }

  protected print(): void {
    window.print();
  }
}
