import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import {
  type CauseId,
  type EvidenceId,
  evidence,
  type Found,
  type SignId,
  signIds,
  signs,
} from '#core/plants/cause-table';
import { type CauseWeights, rankCauses, remedyFor, tellingTest } from '#core/plants/causes';
import { type KeptEvent, type PlantEvent, standing } from '#core/plants/planting';
import { ReaderHere } from '../data/reader-here';
import { NurseryService } from '../data/nursery';
import { PlantsService } from '../data/plants';
import { NumberField } from '../ui/fields/number-field';
import { SignPicture } from './sign-picture';
import { whatsWrong as texts } from '#words/en/places/plants/whats-wrong';

const SHOWN = 3;
const stateWords: Readonly<Record<EvidenceId, Readonly<Record<string, string>>>> = {
  ec: { low: texts.ecLow, right: texts.ecRight, high: texts.ecHigh },
  ph: { low: texts.phLow, right: texts.phRight, high: texts.phHigh },
  air: { short: texts.shortOfAir, right: texts.airEnough },
  nights: { cold: texts.nightsCold, mild: texts.nightsMild },
  age: { long: texts.longInItsVessel, right: texts.notTooLongInIts },
  feed: { due: texts.feedDue, given: texts.fedInTime },
  fresh: { yes: texts.mixStillWorking, no: texts.mixRested },
  seed: { old: texts.seedPoor, good: texts.seedGood },
  surface: { wet: texts.topStaysWet, dry: texts.topDries },
};

/** What is seen, what it may come from by the record, the one test that tells most, and what to do. */
@Component({
  selector: 'app-whats-wrong',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2>{{ texts.whatIsWrongWithThem }}</h2>
    <div class="signs" role="group" [attr.aria-label]="texts.whatYouSee">
      @for (id of signIds; track id) {
        <button type="button" [attr.aria-pressed]="sign() === id" (click)="see(id)">
          <app-sign-picture [sign]="id" />
          {{ signName(id) }}
        </button>
      }
    </div>
    @if (answer(); as it) {
      <div aria-live="polite">
        @if (knownSays()) {
          <p class="term">{{ texts.fromTheRecord(knownSays()) }}</p>
        }
        <ol class="causes">
          @for (each of it.ranked; track each.cause) {
            <li>
              <b>{{ cause(each.cause, 'name') }}</b>&ngsp; <span>{{ inTen(each.share) }}</span>
              <span class="term">{{ cause(each.cause, 'why') }}{{ because(each.because) }}</span>
            </li>
          }
        </ol>
        @if (it.test; as test) {
          <div class="test">
            <p>
              <b>{{ texts.whatWouldShowMost }}</b> {{ findOut(test.id) }}.
            </p>
            <div class="answers">
              @for (state of statesOf(test.id); track state) {
                <button type="button" class="press" (click)="answerTest(test.id, state)">
                  {{ stateWords[test.id][state] }}
                </button>
              }
            </div>
          </div>
        }
        <p class="remark">
          <b>{{ texts.doIt }}</b> {{ remedyText(it.remedy) }}
          <span class="term">{{ texts.nextTime(cause(it.remedy.cause, 'next')) }}</span>
        </p>
        @if (it.remedy.withheld === null) {
          <button type="button" class="press next" (click)="did(it.remedy.cause, remedyText(it.remedy))">
            {{ texts.iDidThat }}
          </button>
        }
        <p class="term">
          {{ texts.oddsAreCommonPracticeCounted }}
        </p>
      </div>
    }
    @if (sign(); as id) {
      <details>
        <summary>{{ texts.theWeightsBehindAndYours(signName(id)) }}</summary>
        <p class="term">
          {{ texts.howOftenEachIsBehind }}
        </p>
        <div class="fields">
          @for (weight of weights(); track weight.cause) {
            <app-number-field
              [label]="
                cause(weight.cause, 'name') + (weight.own ? texts.yoursTheTableSays + weight.book + ')' : '')
              "
              within="causeWeight"
              [value]="weight.weight"
              (valueChange)="weigh(id, weight.cause, $event)"
            />
          }
        </div>
        @if (oddsProblem()) {
          <p class="wrong" role="alert">{{ oddsProblem() }}</p>
        }
        @if (weighed(id)) {
          <button type="button" class="press quiet" (click)="weighAsTable(id)">
            {{ texts.backToTheTable }}
          </button>
        }
      </details>
    }
    @for (item of open(); track item.id) {
      <p class="remark">
        {{ texts.doneAgainstOnDidIt(cause(item.cause, 'name'), item.on) }}
        <button type="button" class="press" (click)="helped(item.cause, true)">{{ texts.itHelped }}</button>
        <button type="button" class="press" (click)="helped(item.cause, false)">{{ texts.itDidNot }}</button>
      </p>
    }
  `,
  styles: `
    .signs {
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(104px, 1fr));
      gap: 8px;
    }
    .signs button {
      display: grid;
      justify-items: center;
      align-content: start;
      gap: 4px;
      padding: 8px 4px;
      border: 1px solid var(--hairline);
      border-radius: 6px;
      background: var(--surface);
      color: var(--ink);
      font-size: var(--small);
      text-align: center;
    }
    .signs [aria-pressed='true'] {
      border: 3px solid var(--ink);
      padding: 6px 2px;
      font-weight: 650;
    }
    .causes li {
      margin: 6px 0;
    }
    .causes .term {
      display: block;
    }
    .answers {
      display: flex;
      flex-wrap: wrap;
      gap: 8px;
      margin: 6px 0 12px;
    }
  `,
  imports: [NumberField, SignPicture],
})
export class WhatsWrong {
  protected readonly texts = texts;
  readonly events = input.required<readonly KeptEvent[]>();
  /** What the record and the batch tell. */
  readonly found = input.required<Found>();
  readonly cells = input.required<number>();
  readonly volumeL = input.required<number>();
  readonly entered = output<PlantEvent>();
  private readonly reader = inject(ReaderHere);
  private readonly nursery = inject(NurseryService);
  private readonly plants = inject(PlantsService);
  private readonly lessons = this.plants.taught();
  private readonly odds = this.plants.odds();
  private readonly own = computed(() => this.odds.value() ?? {});
  protected readonly oddsProblem = signal('');
  protected readonly signIds = signIds;
  protected readonly stateWords = stateWords;
  /** Pressed now; what was seen last until then. */
  private readonly pressed = signal<SignId | null>(null);
  private readonly seen = computed(
    () =>
      standing(this.events())
        .filter((event): event is Extract<KeptEvent, { kind: 'sign' }> => event.kind === 'sign')
        .at(-1)?.sign ?? null,
  );
  protected readonly sign = computed(() => this.pressed() ?? this.seen());
  private readonly answered = signal<Found>({});
  private readonly given = computed((): Found => ({ ...this.found(), ...this.answered() }));
  private readonly taught = computed(
    () => new Map<CauseId, number>((this.lessons.value() ?? []).map((each) => [each.cause, each.helped])),
  );

  protected readonly answer = computed(() => {
    const sign = this.sign();
    if (!sign) return null;
    const ranked = rankCauses(sign, this.given(), this.taught(), this.own());
    return {
      ranked: ranked.slice(0, SHOWN),
      test: tellingTest(sign, this.given(), this.taught(), this.own()),
      remedy: remedyFor(ranked, { cells: this.cells(), volumeL: this.volumeL() }),
    };
  });
  protected readonly knownSays = computed(() =>
    (Object.entries(this.given()) as [EvidenceId, string][])
      .map(([id, state]) => stateWords[id][state])
      .join(', '),
  );
  /** Remedies of which nobody said yet whether they helped. */
  protected readonly open = computed(() => {
    const all = standing(this.events());
    return all.filter(
      (event): event is Extract<KeptEvent, { kind: 'did' }> =>
        event.kind === 'did' &&
        event.on < this.nursery.today() &&
        !all.some((later) => later.kind === 'helped' && later.cause === event.cause && later.id > event.id),
    );
  });

  /** Every cause of the sign, with what the table says and what the nursery set. */
  protected readonly weights = computed(() => {
    const sign = this.sign();
    if (!sign) return [];
    const book = signs[sign].from as Partial<Record<CauseId, number>>;
    const own = this.own()[sign] ?? {};
    const all = new Set([...Object.keys(book), ...Object.keys(own)] as CauseId[]);
    return [...all].map((cause) => ({
      cause,
      book: book[cause] ?? 0,
      weight: own[cause] ?? book[cause] ?? 0,
      own: own[cause] !== undefined,
    }));
  });

  protected signName(sign: SignId): string {
    return this.reader.word(`sign.${sign}`);
  }

  protected cause(id: CauseId, part: 'name' | 'why' | 'next'): string {
    return this.reader.word(`cause.${id}.${part}`);
  }

  protected findOut(id: EvidenceId): string {
    return this.reader.word(`find-out.${id}`);
  }

  protected remedyText({ cause, withheld, drench }: ReturnType<typeof remedyFor>): string {
    return withheld === null
      ? this.reader.read({ say: `cause.${cause}.remedy`, with: drench })
      : this.reader.word('remedy.wait');
  }

  protected weighed(sign: SignId): boolean {
    return this.own()[sign] !== undefined;
  }

  protected weigh(sign: SignId, cause: CauseId, weight: number | undefined): void {
    if (weight === undefined) return;
    this.keepOdds({ ...this.own(), [sign]: { ...this.own()[sign], [cause]: weight } });
  }

  protected weighAsTable(sign: SignId): void {
    const { [sign]: _, ...rest } = this.own();
    this.keepOdds(rest);
  }

  private keepOdds(odds: CauseWeights): void {
    this.odds.change(() => odds);
    this.plants.setOdds(odds).subscribe({
      next: () => this.oddsProblem.set(''),
      error: (error: Error) => this.oddsProblem.set(texts.notKept(error.message)),
    });
  }

  protected inTen(share: number): string {
    const n = Math.round(10 * share);
    return n === 0 ? texts.lessThan1In20 : texts.aboutIn10(n);
  }

  protected because(ids: readonly EvidenceId[]): string {
    const said = ids.map((id) => stateWords[id][this.given()[id]!]);
    return said.length > 0 ? texts.forItSpeaks(said.join(', ')) : '';
  }

  protected statesOf(id: EvidenceId): string[] {
    return Object.keys(evidence[id]);
  }

  protected see(id: SignId): void {
    this.pressed.set(id);
    if (this.seen() !== id) this.entered.emit({ kind: 'sign', on: this.nursery.today(), sign: id });
  }

  protected answerTest(id: EvidenceId, state: string): void {
    this.answered.update((found) => ({ ...found, [id]: state }));
  }

  protected did(cause: CauseId, text: string): void {
    this.entered.emit({ kind: 'did', on: this.nursery.today(), cause, text: text.slice(0, 200) });
  }

  protected helped(cause: CauseId, helped: boolean): void {
    this.entered.emit({ kind: 'helped', on: this.nursery.today(), cause, helped });
  }
}
