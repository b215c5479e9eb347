import {
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  effect,
  inject,
  signal,
  untracked,
} from '@angular/core';
import { RouterLink } from '@angular/router';
import { format, parseISO, subMonths } from 'date-fns';
import { dateIn } from '#words/days';
import { type TubKind } from '#contract/batches';
import { BatchesService, type BatchLine } from '../data/batches';
import { Notices } from '../data/notices';
import { NurseryService } from '../data/nursery';
import { mayHaveMore } from '../data/pages';
import { ReaderHere } from '../data/reader-here';
import { ChoiceField } from '../ui/fields/choice-field';
import { TextField } from '../ui/fields/text-field';
import { BinFill } from '../ui/pictures/bin-fill';
import { type TubRemark, tubSays } from '../ui/words/tub-says';
import { FetchState } from '../ui/fetch-state';
import { Amount } from '../ui/words/amount';
import { stageNames } from '../ui/words/words';
import { batchList as texts } from '#words/en/places/batches/batch-list';
import { common } from '#words/en/places/common';
import { TitlePipe } from '../ui/words/title';
import { DayPipe } from '../ui/words/day';

const MONTHS = 24;
const CALM_MS = 200;

/** What was made, newest first, with what each tub still holds. */
@Component({
  selector: 'app-batch-list',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'page' },
  template: `
    <h1>{{ common.batches }}</h1>
    <app-fetch-state [of]="present.lines" [what]="texts.theBatches" />
    <div class="fields">
      <app-text-field [label]="texts.find" [value]="find()" (valueChange)="search($event)" />
      <app-choice-field [label]="texts.madeIn" [none]="texts.anyMonth" [choices]="months" [(value)]="month" />
      <app-choice-field
        [label]="texts.which"
        [none]="texts.all"
        [choices]="kinds"
        [value]="only()"
        (valueChange)="which($event)"
      />
    </div>
    @for (group of groups(); track group.month) {
      <h2>{{ group.name }}</h2>
      <ul class="plain">
        @for (line of group.lines; track line.id) {
          <li>
            <a [routerLink]="['/batches', line.id]">
              <app-bin-fill [share]="line.state.made ? line.leftLitres / line.litres : 0" />
              <span class="day">{{ line.madeOn | day: 'first' }}</span>
              <span class="name"
                ><b>{{ line.name }}</b>
                <span class="term">
                  {{ stageNames[line.stage].name }} · {{ line.vessel | title
                  }}{{ line.mixName && line.mixName !== line.name ? ' · ' + line.mixName : '' }}</span
                ></span
              >
              <span class="minds">
                @for (mind of minds(line); track mind.id) {
                  <span [class]="mind.severity">{{ mind.short }}</span>
                }
              </span>
              <span class="litres"
                ><b><app-amount [of]="{ volumeL: line.leftLitres }" /></b>
                <span class="term">{{ texts.of }} <app-amount [of]="{ volumeL: line.litres }" /></span
              ></span>
            </a>
          </li>
        }
      </ul>
    } @empty {
      @if (lines(); as none) {
        @if (isAsked()) {
          <p>{{ texts.noneLikeThat }}</p>
        } @else {
          <div class="empty">
            <p>{{ texts.noBatchesYetOpenA }}</p>
            <a class="press next" routerLink="/mix">{{ texts.toTheMix }}</a>
          </div>
        }
      }
    }
    @if (hasMore()) {
      <button type="button" class="press quiet" (click)="more('no')">{{ texts.olderBatches }}</button>
    }
    @if (away.lines.value(); as put) {
      @if (put.length > 0) {
        <details>
          <summary>{{ texts.archived(put.length) }}</summary>
          <ul class="rows">
            @for (line of put; track line.id) {
              <li class="away">
                <a class="press quiet" [routerLink]="['/batches', line.id]"
                  >{{ line.name }}, {{ line.madeOn | day }}</a
                >
                <button type="button" class="press" (click)="back(line)">
                  {{ texts.restore }}<span class="visually-hidden"> {{ line.name }}</span>
                </button>
              </li>
            }
          </ul>
          @if (hasMoreAway()) {
            <button type="button" class="press quiet" (click)="more('yes')">
              {{ texts.olderBatchesInTheArchive }}
            </button>
          }
        </details>
      }
    }
  `,
  styleUrl: './batch-list.scss',
  imports: [Amount, BinFill, ChoiceField, DayPipe, FetchState, RouterLink, TextField, TitlePipe],
})
export class BatchList {
  protected readonly texts = texts;
  protected readonly common = common;
  protected readonly stageNames = stageNames;
  private readonly batches = inject(BatchesService);
  private readonly notices = inject(Notices);
  protected readonly present = this.batches.list('no');
  protected readonly away = this.batches.list('yes');
  protected readonly hasMore = computed(() => mayHaveMore(this.present.lines.value()));
  protected readonly find = signal('');
  protected readonly month = signal<string | null>(null);
  protected readonly only = signal<TubKind | null>(null);
  private readonly reader = inject(ReaderHere);
  private readonly nursery = inject(NurseryService);
  protected readonly kinds: { id: TubKind; name: string }[] = [
    { id: 'holds', name: texts.holdsSome },
    { id: 'test', name: texts.toTest },
    { id: 'rests', name: texts.resting },
    { id: 'unmade', name: texts.notMixed },
  ];
  protected readonly isAsked = computed(
    () => this.find().trim() !== '' || Boolean(this.month()) || Boolean(this.only()),
  );
  /** The last two years, the newest first. */
  protected readonly months = Array.from({ length: MONTHS }, (_, back) => {
    const at = subMonths(parseISO(this.nursery.today()), back);
    return { id: format(at, 'yyyy-MM'), name: dateIn(at, 'monthYear', this.reader.now().language) };
  });
  /** Null until they are there. */
  protected readonly lines = computed(() => this.present.lines.value() ?? null);
  protected readonly groups = computed(() => {
    const groups: { month: string; name: string; lines: BatchLine[] }[] = [];
    for (const line of this.lines() ?? []) {
      const month = line.madeOn.slice(0, 7);
      if (groups.at(-1)?.month !== month)
        groups.push({
          month,
          name: dateIn(line.madeOn, 'monthYear', this.reader.now().language),
          lines: [],
        });
      groups.at(-1)!.lines.push(line);
    }
    return groups;
  });
  private waiting: ReturnType<typeof setTimeout> | undefined;
  protected readonly hasMoreAway = computed(() => mayHaveMore(this.away.lines.value()));

  constructor() {
    effect(() => {
      this.month();
      this.only();
      untracked(() => this.ask());
    });
    inject(DestroyRef).onDestroy(() => clearTimeout(this.waiting));
  }

  /** Once the hand rests. */
  protected search(text: string): void {
    this.find.set(text);
    clearTimeout(this.waiting);
    this.waiting = setTimeout(() => this.ask(), CALM_MS);
  }

  protected which(kind: string | null): void {
    this.only.set(this.kinds.find(({ id }) => id === kind)?.id ?? null);
  }

  private ask(): void {
    const [find, month, only] = [this.find().trim(), this.month(), this.only()];
    this.present.ask({ ...(find && { find }), ...(month && { month }), ...(only && { only }) });
  }

  protected minds(line: BatchLine): TubRemark[] {
    return tubSays(line, this.reader.now(), this.nursery.today());
  }

  protected more(away: 'no' | 'yes'): void {
    const { lines } = away === 'no' ? this.present : this.away;
    const asked = away === 'no' ? this.present : this.away;
    asked.more(lines.value()?.length ?? 0).subscribe({
      next: (older) => lines.change((all) => [...all, ...older]),
      error: (error: Error) => this.notices.say(error.message),
    });
  }

  protected back({ id, name }: BatchLine): void {
    this.batches.bringBack(id).subscribe({
      next: () => this.notices.say(texts.isBack(name)),
      error: (error: Error) => this.notices.say(texts.notRestored(error.message)),
    });
  }
}
