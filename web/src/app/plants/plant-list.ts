import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { RouterLink } from '@angular/router';
import { PAGE } from '#contract/routes';
import { called } from '#core/plants/care';
import { LibraryService } from '../data/library';
import { Notices } from '../data/notices';
import { mayHaveMore } from '../data/pages';
import { type PlantingLine, PlantsService } from '../data/plants';
import { SeasonService } from '../data/season';
import { FetchState } from '../ui/fetch-state';
import { TableFiles } from '../ui/table-files';
import { SaidPipe } from '../ui/words/said';
import { startWords, tallySays } from './plant-words';
import { KeptLine } from '../ui/kept-line';
import { plantList as texts } from '#words/en/places/plants/plant-list';
import { TitlePipe } from '../ui/words/title';
import { DayPipe } from '../ui/words/day';

/** What stands, newest first, each with what it wants next. */
@Component({
  selector: 'app-plant-list',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <a class="press next" routerLink="/plants/new">{{ texts.newPlanting }}</a>
    <app-fetch-state [of]="lines" [what]="texts.thePlants" />
    <ul class="rows">
      @for (each of shown(); track each.id) {
        <li>
          <a [routerLink]="['/plants', each.id]">
            <b>{{ name(each) }}</b>
            <span class="term">
              {{ startWords[each.start] }} {{ each.on | day }}, {{ vessel(each) | title
              }}{{ each.batchName ? ', ' + each.batchName : '' }}
            </span>
            <span>{{ says(each) }}</span>
            <span class="bar" aria-hidden="true">
              <i class="out" [style.width.%]="share(each, 'gone')"></i
              ><i class="stand" [style.width.%]="share(each, 'alive')"></i
              ><i class="lost" [style.width.%]="share(each, 'lost')"></i>
            </span>
            @if (each.care; as care) {
              <span class="term">{{ care.on | day: 'first' }}: {{ care.text | said }}</span>
            }
          </a>
        </li>
      } @empty {
        @if (lines.value()) {
          <li>{{ texts.nothingGrowsYetBeginWith }}</li>
        }
      }
    </ul>
    <p class="term"><app-kept-line /></p>
    @if (hasMore()) {
      <button type="button" class="press quiet" (click)="more()">{{ texts.olderOnes }}</button>
    }
    @for (other of others; track other.name) {
      @if (other.list.value(); as lines) {
        @if (lines.length > 0) {
          <details>
            <summary>
              {{ other.name }} ({{ lines.length }}{{ lines.length === PAGE ? texts.newest : '' }})
            </summary>
            <ul class="rows">
              @for (it of lines; track it.id) {
                <li>
                  <a [routerLink]="['/plants', it.id]">
                    <b>{{ name(it) }}</b>&ngsp; <span class="term">{{ says(it) }}</span>
                  </a>
                </li>
              }
            </ul>
          </details>
        }
      }
    }
    <app-table-files table="plantings" (taken)="lines.refresh()" />
    <app-table-files table="plant-events" (taken)="lines.refresh()" />
  `,
  styles: `
    li a {
      display: grid;
      grid-template-columns: minmax(0, 3fr) minmax(0, 4fr);
      gap: 2px 24px;
      align-items: center;
      min-height: 56px;
      padding: 8px 0;
      color: var(--ink);
      text-decoration: none;
    }
    .bar {
      display: flex;
      width: 100%;
      height: 10px;
      border: 1px solid var(--ink);
    }
    .bar i {
      display: block;
      height: 100%;
    }
    .stand {
      background: var(--window-edge);
    }
    .out {
      background: var(--water);
    }
    .lost {
      background: repeating-linear-gradient(45deg, var(--air) 0 3px, var(--air-hatch) 3px 5px);
    }
    @media (max-width: 600px) {
      li a {
        grid-template-columns: minmax(0, 1fr);
      }
    }
  `,
  imports: [DayPipe, TitlePipe, FetchState, KeptLine, RouterLink, SaidPipe, TableFiles],
})
export class PlantListPage {
  protected readonly texts = texts;
  private readonly plants = inject(PlantsService);
  private readonly notices = inject(Notices);
  private readonly library = inject(LibraryService).library;
  private readonly crops = inject(SeasonService).crops;
  protected readonly lines = this.plants.list('no');
  protected readonly others = [
    { name: texts.doneWith, list: this.plants.list('yes') },
    { name: texts.archived, list: this.plants.list('away') },
  ];
  private readonly older = signal<readonly PlantingLine[]>([]);
  protected readonly shown = computed(() => [...(this.lines.value() ?? []), ...this.older()]);
  protected readonly hasMore = computed(() => mayHaveMore(this.shown()));
  private readonly names = computed(() => new Map((this.crops.value() ?? []).map((each) => [each.id, each])));
  protected readonly startWords = startWords;
  protected readonly says = tallySays;
  protected readonly PAGE = PAGE;

  constructor() {
    this.plants
      .arrived()
      .pipe(takeUntilDestroyed())
      .subscribe(() => this.lines.refresh());
  }

  protected name(each: PlantingLine): string {
    return called(each, this.names().get(each.crop) ?? { name: each.crop });
  }

  protected vessel(each: PlantingLine): string {
    return this.library()?.vessels.get(each.vessel)?.name ?? each.vessel;
  }

  protected share({ tally }: PlantingLine, part: 'gone' | 'alive' | 'lost'): number {
    const { begun, alive, moved, out, lost } = tally;
    const count =
      part === 'alive'
        ? (alive ?? 0)
        : part === 'gone'
          ? moved + out
          : lost.reduce((sum, each) => sum + each.count, 0);
    return Math.min(100, (100 * count) / Math.max(1, begun));
  }

  protected more(): void {
    this.plants.more('no', this.shown().length).subscribe({
      next: (lines) => this.older.update((present) => [...present, ...lines]),
      error: (error: Error) => this.notices.say(texts.couldNotLoadTheOlder(error.message)),
    });
  }
}
