import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import { afterWays, lossCauses, outWays, type PlantEvent, type PlantEventKind } from '#core/plants/planting';
import { type LimitName, type Range } from '#core/units/limits';
import { NurseryService } from '../data/nursery';
import { ChoiceField } from '../ui/fields/choice-field';
import { DayField } from '../ui/fields/day-field';
import { NumberField } from '../ui/fields/number-field';
import { TextField } from '../ui/fields/text-field';
import { TrayPicture } from './tray-picture';
import { TypedDay } from '../ui/fields/typed-day';
import { eventSheet as texts } from '#words/en/places/plants/event-sheet';
import { common } from '#words/en/places/common';

interface Asked {
  kind: PlantEventKind;
  name: string;
  /** What the number is, where there is one. */
  number?: { label: string; within: LimitName | Range; unit?: string; whole?: boolean };
  words?: 'cause' | 'way' | 'text' | 'went';
}

const SOME: Range = [1, 1_000_000];
/** More cells than these are no longer counted on a picture. */
const MOST_PICTURED = 600;
/** Kinds whose number may be left out. */
const BARE: readonly PlantEventKind[] = ['watered', 'topped', 'after'];
/** In the order in which a hand wants them. */
const asked: readonly Asked[] = [
  {
    kind: 'up',
    name: common.cameUp,
    number: { label: texts.howManyInAll, within: 'plantCount', whole: true },
  },
  {
    kind: 'count',
    name: texts.counted,
    number: { label: texts.howManyStand, within: 'plantCount', whole: true },
  },
  {
    kind: 'lost',
    name: texts.lost,
    number: { label: texts.soMany, within: SOME, whole: true },
    words: 'cause',
  },
  { kind: 'fed', name: texts.fed, words: 'text' },
  {
    kind: 'watered',
    name: texts.wateredFromBelow,
    number: { label: texts.takenUp, within: 'wateredLitres', unit: 'L' },
  },
  {
    kind: 'weight',
    name: texts.weighed,
    number: { label: texts.aTrayWeighs, within: 'trayGrams', unit: 'g' },
  },
  { kind: 'cold', name: texts.coldNight, number: { label: texts.downTo, within: 'nightC', unit: '°C' } },
  {
    kind: 'size',
    name: texts.height,
    number: { label: texts.ofOneInTheMiddle, within: 'plantMm', unit: 'mm' },
  },
  {
    kind: 'topped',
    name: texts.toppedUp,
    number: { label: texts.withIt, within: 'wateredLitres', unit: 'L' },
  },
  { kind: 'thinned', name: texts.thinned, number: { label: texts.remove, within: SOME, whole: true } },
  {
    kind: 'out',
    name: texts.plantedOrSold,
    number: { label: texts.soMany, within: SOME, whole: true },
    words: 'way',
  },
  {
    kind: 'after',
    name: texts.afterPlanting,
    number: { label: texts.yielded, within: 'yieldKg', unit: 'kg' },
    words: 'went',
  },
  { kind: 'sprayed', name: texts.sprayed, words: 'text' },
  { kind: 'note', name: texts.note, words: 'text' },
];

/** What happened, in two presses and a number. */
@Component({
  selector: 'app-event-sheet',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="fields" role="group" [attr.aria-label]="texts.reading" (keydown.enter)="read()">
      <app-number-field [label]="texts.phOfWhatDrains" within="measuredPh" [(value)]="ph" />
      <app-number-field [label]="texts.ecOfWhatDrainsMs" within="plantEcMSPerCm" [(value)]="ec" />
      <button
        type="button"
        class="press"
        [disabled]="ph() === undefined && ec() === undefined"
        (click)="read()"
      >
        {{ texts.enterReading }}
      </button>
    </div>
    <div class="presses" role="group" [attr.aria-label]="common.whatHappened">
      @for (each of asked; track each.kind) {
        <button
          type="button"
          class="press"
          [attr.aria-pressed]="open()?.kind === each.kind"
          (click)="choose(each)"
        >
          {{ each.kind === 'up' && struck() ? texts.rooted : each.name }}
        </button>
      }
    </div>
    @if (open(); as it) {
      <form (submit)="$event.preventDefault(); keep()">
        <div class="fields">
          @if (it.number; as number) {
            <app-number-field
              [label]="number.label"
              [within]="number.within"
              [unit]="number.unit ?? ''"
              [whole]="number.whole ?? false"
              [(value)]="number$"
            />
          }
          @if (it.kind === 'thinned' && standNow() > 0) {
            <app-number-field
              [label]="texts.leave"
              [within]="[0, standNow()]"
              [whole]="true"
              [value]="leaves()"
              (valueChange)="number$.set($event === undefined ? undefined : standNow() - $event)"
            />
          }
          @if (countable()) {
            <button
              type="button"
              class="press"
              [attr.aria-expanded]="cellByCell()"
              (click)="cellByCell.set(!cellByCell())"
            >
              {{ texts.byAPictureOfThe }}
            </button>
          }
          @if (it.kind === 'watered' || (it.kind === 'out' && way() === 'planted')) {
            <app-number-field
              [label]="texts.minutesItTook"
              [within]="it.kind === 'out' ? 'workMinutes' : 'waterMinutes'"
              [whole]="true"
              [(value)]="minutes"
            />
          }
          @switch (it.words) {
            @case ('cause') {
              <app-choice-field
                [label]="common.ofWhat"
                [none]="texts.ownWords"
                [choices]="causes"
                [(value)]="cause"
              />
              @if (!cause()) {
                <app-text-field [label]="texts.inOwnWords" [(value)]="text" />
              }
            }
            @case ('way') {
              <app-choice-field [label]="texts.whereTo" [choices]="ways" [(value)]="way" />
            }
            @case ('went') {
              <app-choice-field [label]="texts.howTheyWent" [choices]="afters" [(value)]="went" />
              <app-text-field [label]="texts.inOwnWords" [(value)]="text" />
            }
            @case ('text') {
              <app-text-field
                [label]="it.kind === 'note' ? texts.note : texts.withWhatByWhichLabel"
                [(value)]="text"
              />
            }
          }
          <app-day-field [label]="common.on" [day]="on" />
        </div>
        @if (countable() && cellByCell()) {
          <app-tray-picture
            [cells]="cells()"
            [perTray]="perTray()"
            [noun]="noun()"
            [empty]="empties()"
            (emptyChange)="countBy($event)"
          />
        }
        @if (it.kind === 'thinned' && standNow() > cells()) {
          <p class="term">{{ texts.standNow(standNow(), noun()) }}</p>
        }
        @if (it.kind === 'sprayed') {
          <p class="term">
            {{ texts.followItsLabelGlovesGoggles }}
          </p>
        }
        @if (problem() || missing()) {
          <p class="wrong" role="alert">{{ problem() || missing() }}</p>
        }
        <button type="submit" class="press next">{{ common.save }}</button>
      </form>
    }
  `,
  styles: `
    .fields {
      margin-bottom: 10px;
    }
    .presses {
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(108px, 1fr));
      gap: 8px;
    }
    .presses .press {
      justify-content: center;
      padding: 0 6px;
      text-align: center;
    }
    .presses [aria-pressed='true'] {
      background: var(--ink);
      color: var(--surface);
    }
    form {
      margin: 12px 0;
    }
  `,
  imports: [ChoiceField, DayField, NumberField, TextField, TrayPicture],
})
export class EventSheet {
  protected readonly texts = texts;
  protected readonly common = common;
  readonly problem = input.required<string>();
  /** What is counted, where each holds one plant. */
  readonly cells = input.required<number>();
  readonly perTray = input.required<number>();
  readonly perCell = input.required<number>();
  /** Cuttings root where seed comes up. */
  readonly struck = input(false);
  readonly noun = input('cell');
  /** Cells that the last count found empty. */
  readonly emptyBefore = input<readonly number[]>([]);
  /** Plants that stand, as far as anybody knows. */
  readonly standNow = input(0);
  /** What topping it up takes, L; null where nothing is left to fill. */
  readonly topUpL = input<number | null>(null);
  readonly entered = output<PlantEvent>();
  protected readonly asked = asked;
  protected readonly causes = lossCauses.map((id) => ({ id, name: id }));
  protected readonly ways = outWays.map((id) => ({ id, name: id }));
  protected readonly afters = afterWays.map((id) => ({ id, name: id }));
  protected readonly went = signal<string | null>(afterWays[0]);
  protected readonly open = signal<Asked | null>(null);
  protected readonly number$ = signal<number | undefined>(undefined);
  protected readonly minutes = signal<number | undefined>(undefined);
  protected readonly cause = signal<string | null>(lossCauses[0]);
  protected readonly way = signal<string | null>(outWays[0]);
  protected readonly text = signal('');
  protected readonly ph = signal<number | undefined>(undefined);
  protected readonly ec = signal<number | undefined>(undefined);
  private readonly today = inject(NurseryService).today;
  protected readonly on = new TypedDay(this.today, true);
  private readonly tried = signal(false);
  protected readonly cellByCell = signal(false);
  /** Pressed empty; null while nobody counts so. */
  private readonly pressed = signal<readonly number[] | null>(null);
  protected readonly empties = computed(() => this.pressed() ?? this.emptyBefore());
  protected readonly countable = computed(
    () =>
      (this.open()?.kind === 'up' || this.open()?.kind === 'count') &&
      this.perCell() === 1 &&
      this.cells() <= MOST_PICTURED,
  );

  private readonly event = computed((): PlantEvent | null => {
    const it = this.open();
    if (!it || this.on.problem()) return null;
    const on = this.on.value();
    const [n, text] = [this.number$(), this.text().trim()];
    if (it.number && n === undefined && !BARE.includes(it.kind)) return null;
    if (it.words === 'text' && text === '') return null;
    switch (it.kind) {
      case 'thinned':
        return { kind: 'thinned', on, count: n! };
      case 'up':
        return { kind: 'up', on, count: n!, ...this.pictured(n!) };
      case 'count':
        return { kind: 'count', on, alive: n!, ...this.pictured(n!) };
      case 'topped':
        return { kind: 'topped', on, litres: n };
      case 'size':
        return { kind: 'size', on, mm: n! };
      case 'lost': {
        const cause = this.cause() || text;
        return cause ? { kind: 'lost', on, count: n!, cause } : null;
      }
      case 'out':
        return {
          kind: 'out',
          on,
          count: n!,
          way: outWays.find((outWay) => outWay === this.way()) ?? 'planted',
          ...(this.way() === 'planted' && this.minutes() !== undefined && { minutes: this.minutes() }),
        };
      case 'after':
        return {
          ...{ kind: 'after', on, went: afterWays.find((each) => each === this.went()) ?? 'grew on' },
          ...(n !== undefined && { kg: n }),
          ...(text !== '' && { text }),
        };
      case 'watered':
        return { kind: 'watered', on, litres: n, minutes: this.minutes() };
      case 'weight':
        return { kind: 'weight', on, grams: n! };
      case 'cold':
        return { kind: 'cold', on, celsius: n! };
      case 'fed':
      case 'sprayed':
      case 'note':
        return { kind: it.kind, on, text };
      default:
        return null;
    }
  });
  /** What stays once so many are pulled. */
  protected readonly leaves = computed(() => {
    const removed = this.number$();
    return removed === undefined || removed > this.standNow() ? undefined : this.standNow() - removed;
  });
  protected readonly missing = computed(() =>
    this.tried() && !this.event() ? texts.somethingIsNotFilledIn : '',
  );

  protected choose(each: Asked): void {
    this.open.update((now) => (now?.kind === each.kind ? null : each));
    this.empty();
    // One to each is the usual aim: so many are too many.
    const spare = this.standNow() - Math.min(this.cells(), this.standNow());
    if (each.kind === 'thinned' && spare > 0) this.number$.set(spare);
    if (each.kind === 'topped') this.number$.set(this.topUpL() ?? undefined);
  }

  /** The cells go with the number while both say the same. */
  private pictured(count: number): { empty?: number[] } {
    const pressed = this.countable() ? this.pressed() : null;
    return pressed && this.cells() - pressed.length === count ? { empty: [...pressed] } : {};
  }

  protected countBy(empty: readonly number[]): void {
    this.pressed.set(empty);
    this.number$.set(this.cells() - empty.length);
  }

  private empty(): void {
    this.cellByCell.set(false);
    this.pressed.set(null);
    this.number$.set(undefined);
    this.minutes.set(undefined);
    this.text.set('');
    this.tried.set(false);
  }

  /** What drains is read in passing: no press before the number. */
  protected read(): void {
    const on = this.today();
    const read = { ph: this.ph(), ec: this.ec() };
    this.ph.set(undefined);
    this.ec.set(undefined);
    for (const kind of ['ph', 'ec'] as const) {
      const value = read[kind];
      if (value !== undefined) this.entered.emit({ kind, on, value });
    }
  }

  protected keep(): void {
    const event = this.event();
    this.tried.set(event === null);
    if (event) this.entered.emit(event);
  }

  /** Once it is kept; until then what was typed stays. */
  done(): void {
    this.open.set(null);
    this.empty();
  }
}
