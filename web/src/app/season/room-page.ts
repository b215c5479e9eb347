import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  signal,
  untracked,
} from '@angular/core';
import { isValid, parseISO } from 'date-fns';
import { approaches } from '#core/recipe/approaches';
import { type Bench } from '#core/season/line';
import { Notices } from '../data/notices';
import { type SeasonSettings, SeasonService } from '../data/season';
import { FetchState } from '../ui/fetch-state';
import { ChoiceField } from '../ui/fields/choice-field';
import { NumberField } from '../ui/fields/number-field';
import { TextField } from '../ui/fields/text-field';
import { TickField } from '../ui/fields/tick-field';
import { roomPage as texts } from '#words/en/places/season/room-page';
import { common } from '#words/en/places/common';
import { ReaderHere } from '../data/reader-here';

/** What the season hangs on: last frosts, the benches there are, and how it is reckoned. */
@Component({
  selector: 'app-room-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <app-fetch-state [of]="service.plan" [what]="common.theSeason" />
    @if (draft(); as it) {
      <section aria-labelledby="frost">
        <h2 id="frost">{{ texts.theLastFrostHere }}</h2>
        <p class="lead">
          {{ texts.enterThreeDaysFrostIs }}
        </p>
        <div class="fields">
          @for (frost of frosts; track frost.id) {
            <app-text-field
              kind="date"
              [label]="frost.name"
              [value]="it.frost[frost.id]"
              (valueChange)="setFrost(frost.id, $event)"
            />
          }
        </div>
        @if (frostProblem()) {
          <p class="wrong" role="alert">{{ frostProblem() }}</p>
        }
      </section>
      <section aria-labelledby="benches">
        <h2 id="benches">{{ texts.benches }}</h2>
        <ul class="plain">
          @for (bench of it.benches; track $index; let i = $index) {
            <li>
              <app-text-field
                [label]="texts.bench"
                [value]="bench.name"
                [problem]="bench.name.trim() ? '' : texts.aBenchMustHaveA"
                (valueChange)="setBench(i, { name: $event })"
              />
              <app-number-field
                [label]="texts.room"
                unit="m²"
                within="benchM2"
                [value]="bench.m2"
                (valueChange)="setBench(i, { m2: $event ?? 0 })"
              />
              <app-tick-field [checked]="bench.heated" (checkedChange)="setBench(i, { heated: $event })">{{
                texts.heated
              }}</app-tick-field>
              <app-tick-field [checked]="bench.lights" (checkedChange)="setBench(i, { lights: $event })">{{
                texts.lights
              }}</app-tick-field>
              <button type="button" class="press square" (click)="dropBench(i)">
                <i class="bi bi-x-lg" aria-hidden="true"></i
                ><span class="visually-hidden">{{ texts.remove(bench.name) }}</span>
              </button>
            </li>
          }
        </ul>
        <button type="button" class="press" (click)="addBench()">{{ texts.anotherBench }}</button>
      </section>
      <section aria-labelledby="reckoned">
        <h2 id="reckoned">{{ texts.whatThePlanCountsOn }}</h2>
        <div class="fields">
          <app-number-field
            [label]="texts.mixWhereSeedComesUp"
            unit="°C"
            within="soilC"
            [value]="it.soilC"
            (valueChange)="patch({ soilC: $event ?? it.soilC })"
          />
          <app-number-field
            [label]="texts.mixSpilled"
            within="sparePct"
            [value]="it.spillPct"
            (valueChange)="patch({ spillPct: $event ?? it.spillPct })"
          />
          <app-choice-field
            [label]="texts.mixesWhereACropNames"
            [none]="texts.theUsualOnes"
            [choices]="ways"
            [value]="it.school"
            (valueChange)="patch({ school: $event || null })"
          />
        </div>
      </section>
      @if (problem()) {
        <p class="wrong" role="alert">{{ problem() }}</p>
      }
      <p class="act">
        <button type="button" class="press next" [disabled]="!ready()" (click)="keep()">
          {{ common.save }}
        </button>
      </p>
    }
  `,
  styles: `
    li {
      display: grid;
      grid-template-columns: minmax(0, 240px) 140px 110px 110px 44px;
      gap: 8px 16px;
      align-items: end;
      padding: 6px 0;
    }
    .act {
      margin-top: 16px;
    }
    @media (max-width: 600px) {
      li {
        grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
        padding-bottom: 12px;
        border-bottom: 1px solid var(--hairline);
      }
    }
  `,
  imports: [ChoiceField, FetchState, NumberField, TextField, TickField],
})
export class RoomPage {
  protected readonly texts = texts;
  protected readonly common = common;
  private readonly reader = inject(ReaderHere);
  protected readonly service = inject(SeasonService);
  private readonly notices = inject(Notices);
  protected readonly problem = signal('');
  protected readonly draft = signal<SeasonSettings | null>(null);
  protected readonly ways = approaches.map(({ id }) => ({
    id,
    name: this.reader.word(`approach.${id}.name`),
  }));
  protected readonly frosts = [
    { id: 'early', name: texts.earlyOneYearOfTen },
    { id: 'usual', name: texts.usual },
    { id: 'late', name: texts.lateOneYearOfTen },
  ] as const;

  constructor() {
    effect(() => {
      const plan = this.service.plan.value();
      if (plan && untracked(this.draft) === null) this.draft.set(plan.settings);
    });
  }

  protected readonly frostProblem = computed(() => {
    const frost = this.draft()?.frost;
    if (!frost) return '';
    const all = [frost.early, frost.usual, frost.late];
    if (!all.every((day) => isValid(parseISO(day)))) return texts.allThreeMustBeDays;
    return frost.early < frost.usual && frost.usual < frost.late
      ? ''
      : texts.theThreeDaysMustCome(all.join(', '));
  });
  protected readonly ready = computed(
    () => this.frostProblem() === '' && (this.draft()?.benches ?? []).every(({ name }) => name.trim() !== ''),
  );

  protected patch(change: Partial<SeasonSettings>): void {
    this.draft.update((now) => (now ? { ...now, ...change } : now));
  }

  protected setFrost(which: 'early' | 'usual' | 'late', day: string): void {
    const frost = this.draft()?.frost;
    if (frost) this.patch({ frost: { ...frost, [which]: day } });
  }

  protected setBench(index: number, change: Partial<Bench>): void {
    const benches = this.draft()?.benches ?? [];
    this.patch({ benches: benches.map((bench, i) => (i === index ? { ...bench, ...change } : bench)) });
  }

  protected dropBench(index: number): void {
    this.patch({ benches: (this.draft()?.benches ?? []).filter((_, i) => i !== index) });
  }

  protected addBench(): void {
    const benches = this.draft()?.benches ?? [];
    const bench = { name: texts.bench2(benches.length + 1), m2: 10, heated: false, lights: false };
    this.patch({ benches: [...benches, bench] });
  }

  protected keep(): void {
    const [draft, before] = [this.draft(), this.service.plan.value()?.settings];
    if (!draft || !before) return;
    this.problem.set('');
    this.service.set(draft).subscribe({
      next: () =>
        this.notices.undoable(
          texts.savedTheSeasonNowCounts,
          () => this.service.set(before),
          () => this.draft.set(before),
        ),
      error: (error: Error) => this.problem.set(texts.notKept(error.message)),
    });
  }
}
