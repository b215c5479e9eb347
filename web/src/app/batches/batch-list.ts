import { ChangeDetectionStrategy, Component, computed, DestroyRef, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { BatchesService, type BatchLine } from '../data/batches';
import { Notices } from '../data/notices';
import { mayHaveMore } from '../data/pages';
import { FetchState } from '../ui/fetch-state';
import { Amount } from '../ui/words/amount';
import { stageNames } from '../ui/words/words';
import { batchList as texts } from '#words/en/places/batches/batch-list';
import { common } from '#words/en/places/common';
import { TitlePipe } from '../ui/words/title';
import { DayPipe } from '../ui/words/day';

/** What was made, newest first. */
@Component({
  selector: 'app-batch-list',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'page' },
  template: `
    <h1>{{ common.batches }}</h1>
    <app-fetch-state [of]="present.lines" [what]="texts.theBatches" />
    <ul class="plain">
      @for (line of present.lines.value() ?? []; track line.id) {
        <li>
          <a [routerLink]="['/batches', line.id]">
            <span class="day">{{ line.madeOn | day: 'first' }}</span>
            <b class="name">{{ line.name }}</b>
            <span class="into"
              >{{ stageNames[line.stage].name }} · {{ line.vessel | title
              }}{{ line.mixName && line.mixName !== line.name ? ' · ' + line.mixName : '' }}</span
            >
            <span class="litres"><app-amount [of]="{ volumeL: line.litres }" /></span>
          </a>
        </li>
      } @empty {
        @if (present.lines.value()) {
          <li class="empty">
            <p>{{ texts.noBatchesYetOpenA }}</p>
            <a class="press next" routerLink="/mix">{{ texts.toTheMix }}</a>
          </li>
        }
      }
    </ul>
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
  imports: [DayPipe, TitlePipe, Amount, FetchState, RouterLink],
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
  protected readonly hasMoreAway = computed(() => mayHaveMore(this.away.lines.value()));

  constructor() {
    inject(DestroyRef).onDestroy(() => {
      this.present.leave();
      this.away.leave();
    });
  }

  protected more(away: 'no' | 'yes'): void {
    const { lines } = away === 'no' ? this.present : this.away;
    this.batches.more(away, lines.value()?.length ?? 0).subscribe({
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
