import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { catchError, of, switchMap } from 'rxjs';
import { verdictOf } from '#core/plants/verdict';
import { type PlantGroup, PlantsService } from '../data/plants';
import { ReaderHere } from '../data/reader-here';
import { SeasonService } from '../data/season';
import { ChoiceField } from '../ui/fields/choice-field';
import { Segments } from '../ui/fields/segments';
import { TickField } from '../ui/fields/tick-field';
import { SaidPipe } from '../ui/words/said';
import { ShareRulers } from './share-rulers';
import { comparePage as texts } from '#words/en/places/plants/compare-page';
import { common } from '#words/en/places/common';
import { TitlePipe } from '../ui/words/title';

type By = 'batch' | 'mix' | 'vessel' | 'seed';
type What = 'up' | 'made';

/** Any two or more mixes, batches, vessels or lots of seed, side by side: is it more than luck? */
@Component({
  selector: 'app-compare-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="asked">
      <app-segments
        [label]="texts.compare"
        [choices]="bys"
        [value]="by()"
        (valueChange)="by.set($event); left.set([])"
      />
      <app-segments [label]="texts.by" [choices]="whats" [(value)]="what" />
      <app-choice-field [label]="common.crop" [none]="texts.allCrops" [choices]="crops()" [(value)]="crop" />
    </div>
    @if (fetched(); as it) {
      @if (it.failed) {
        <p class="wrong" role="alert">{{ texts.couldNotLoadTheCounts(it.failed) }}</p>
      } @else {
        @if (verdict(); as says) {
          <p class="verdict" role="status">{{ says.says | said }}</p>
        } @else if (toChoose().length > 0) {
          <div class="which" role="group" [attr.aria-label]="texts.whichCrop">
            <p class="verdict">{{ texts.whichCrop }}</p>
            @for (each of toChoose(); track each.id) {
              <button type="button" class="press" (click)="crop.set(each.id)">{{ each.name }}</button>
            }
          </div>
        } @else {
          <p>
            {{
              texts.twoOrMoreAreNeeded(
                counted().length === 0 ? texts.nothingIsCountedYet : texts.onlyOneIsCounted
              )
            }}
          </p>
        }
        <app-share-rulers [arms]="arms()" [shares]="verdict()?.shares ?? []" />
        @if (verdict(); as says) {
          @if (says.pairs.length > 1) {
            <details>
              <summary>{{ texts.everyPair }}</summary>
              <ul class="rows">
                @for (pair of says.pairs; track $index) {
                  <li>
                    {{
                      texts.over(
                        arms()[pair.better]!.name | title,
                        arms()[pair.worse]!.name | title,
                        pair.differs ? texts.moreThanLuck : texts.mayBeLuck
                      )
                    }}
                    <span class="term">{{ texts.exactTestPForAll(shown(pair.p), shown(pair.holm)) }}</span>
                  </li>
                }
              </ul>
            </details>
          }
        }
        <h2>{{ texts.whichToCompare }}</h2>
        <ul class="rows">
          @for (group of counted(); track group.key) {
            <li>
              <app-tick-field
                [checked]="!left().includes(group.key)"
                (checkedChange)="take(group.key, $event)"
                >{{ group.name | title }}</app-tick-field
              >
              <span class="term"
                >{{ group.plantings }} {{ group.plantings === 1 ? texts.planting : texts.plantings
                }}{{ group.daysToUp === null ? '' : texts.upAfter + group.daysToUp + texts.days
                }}{{ lostSays(group) }}{{ afterSays(group) }}</span
              >
            </li>
          }
        </ul>
        <p class="term">
          {{ texts.theLastThreeYearsBatches }}
        </p>
      }
    }
  `,
  styles: `
    .asked {
      display: flex;
      flex-wrap: wrap;
      gap: 0 24px;
      align-items: end;
    }
    .which {
      display: flex;
      flex-wrap: wrap;
      gap: 8px;
      align-items: center;
      .verdict {
        flex-basis: 100%;
        margin-bottom: 0;
      }
    }
    .verdict {
      margin: 12px 0;
      font-size: var(--head);
      font-weight: 650;
    }
  `,
  imports: [TitlePipe, ChoiceField, SaidPipe, Segments, ShareRulers, TickField],
})
export class ComparePage {
  protected readonly texts = texts;
  protected readonly common = common;
  private readonly plants = inject(PlantsService);
  private readonly season = inject(SeasonService);
  private readonly reader = inject(ReaderHere);
  protected readonly bys: { id: By; name: string }[] = [
    { id: 'mix', name: texts.mixes },
    { id: 'batch', name: common.batches },
    { id: 'vessel', name: common.vessels },
    { id: 'seed', name: common.seed },
  ];
  protected readonly whats: { id: What; name: string }[] = [
    { id: 'up', name: common.cameUp },
    { id: 'made', name: texts.madeIt },
  ];
  protected readonly by = signal<By>('mix');
  protected readonly what = signal<What>('up');
  protected readonly crop = signal<string | null>(null);
  /** Left out by hand. */
  protected readonly left = signal<readonly string[]>([]);
  protected readonly crops = computed(() =>
    (this.season.crops.value() ?? []).map(({ id, name }) => ({ id, name })),
  );

  protected readonly fetched = toSignal(
    toObservable(computed(() => ({ by: this.by(), crop: this.crop() }))).pipe(
      switchMap(({ by, crop }) =>
        this.plants.groups({ by, ...(crop && { crop }) }).pipe(
          switchMap((groups) => of({ groups, failed: '' })),
          catchError((error: Error) => of({ groups: [] as PlantGroup[], failed: error.message })),
        ),
      ),
    ),
  );
  protected readonly counted = computed(() =>
    (this.fetched()?.groups ?? [])
      .filter((group) => group[this.what()].of > 0)
      .sort((a, b) => b[this.what()].of - a[this.what()].of),
  );
  protected readonly arms = computed(() =>
    this.counted()
      .filter(({ key }) => !this.left().includes(key))
      .map((group) => ({ name: group.name, ...group[this.what()] })),
  );
  /** Crops of which two or more are counted, the most counted first: a verdict never mixes them. */
  protected readonly toChoose = computed(() => {
    if (this.crop() || this.by() === 'seed') return [];
    const counted = new Map<string, { id: string; name: string; groups: number; of: number }>();
    for (const { crops } of this.counted())
      for (const { crop, name, up } of crops) {
        const each = counted.get(crop) ?? { id: crop, name, groups: 0, of: 0 };
        counted.set(crop, { ...each, groups: each.groups + 1, of: each.of + up.of });
      }
    // Of one crop alone there is nothing to ask.
    if (counted.size < 2) return [];
    return [...counted.values()].filter(({ groups }) => groups > 1).sort((a, b) => b.of - a.of);
  });
  /** Cuttings root where seed comes up. */
  private readonly isStruck = computed(() => {
    const crops = this.counted().flatMap((group) => group.crops);
    return crops.length > 0 && crops.every(({ struck }) => struck);
  });
  private readonly isMixed = computed(
    () => new Set(this.counted().flatMap((group) => group.crops.map(({ crop }) => crop))).size > 1,
  );
  protected readonly verdict = computed(() => {
    if (this.arms().length < 2 || (!this.crop() && this.isMixed())) return null;
    const what = this.what() === 'made' ? texts.madeIt2 : this.isStruck() ? texts.rooted : texts.cameUp;
    return verdictOf(this.arms(), what);
  });

  protected shown(p: number): string {
    return p < 0.001 ? 'under 0.001' : p.toFixed(3);
  }

  protected lostSays({ lost }: PlantGroup): string {
    return lost.length === 0
      ? ''
      : texts.lost(
          lost
            .slice(0, 3)
            .map(({ count, cause }) => `${count} ${cause}`)
            .join(', '),
        );
  }

  /** What it took to plant them out, and how they went on. */
  protected afterSays({ after, outMinutesPerHundred: minutes }: PlantGroup): string {
    const kg = after.kg === null ? '' : texts.yielded(this.reader.formats().mass(1000 * after.kg));
    return [
      after.of === 0 ? '' : texts.grewOn(after.grewOn, after.of, after.stalled) + kg,
      minutes === null ? '' : texts.outIn(minutes.toFixed(0)),
    ].join('');
  }

  protected take(key: string, taken: boolean): void {
    this.left.update((left) => (taken ? left.filter((each) => each !== key) : [...left, key]));
  }
}
