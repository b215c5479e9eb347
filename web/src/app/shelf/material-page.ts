import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  input,
  signal,
  untracked,
} from '@angular/core';
import { RouterLink } from '@angular/router';
import { type LearnedAnswer, type LotTestGiven } from '#contract/lots';
import { neutralisingMeqPerG } from '#core/material/amendment';
import { ecMethods } from '#core/mix/salts';
import { ApiError } from '../data/api';
import { LibraryService } from '../data/library';
import { LotsService } from '../data/lots';
import { NurseryService } from '../data/nursery';
import { Units } from '../data/units';
import { type Resource } from '../data/resource';
import { ChoiceField } from '../ui/fields/choice-field';
import { NumberList } from '../ui/fields/number-list';
import { FetchState } from '../ui/fetch-state';
import { shownIn } from '../ui/words/shown-in';
import { type Figure, figureNames, type TestId, testForms } from './material-tests';
import { ecMethodNames, shortName } from '../ui/words/words';
import { materialPage as texts } from '#words/en/places/shelf/material-page';
import { common } from '#words/en/places/common';
import { DayPipe } from '../ui/words/day';
import { TitlePipe } from '../ui/words/title';

/** What a material is taken for, what your own tests make of it, and how sure that is. */
@Component({
  selector: 'app-material-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <a class="back" routerLink="/shelf/materials">{{ texts.allMaterials }}</a>
    @if (material(); as it) {
      <h2>{{ it | title }}</h2>
    }
    @if (learned(); as fetched) {
      <app-fetch-state [of]="fetched" [what]="texts.itsTests" />
    }
    @if (answer(); as it) {
      @if (it.figures.length > 0) {
        <table>
          <thead>
            <tr>
              <th scope="col">
                <span class="visually-hidden">{{ texts.figure }}</span>
              </th>
              <th scope="col">{{ texts.book }}</th>
              <th scope="col">{{ texts.yours }}</th>
              <th scope="col">{{ texts.whereItIs }}</th>
              <th scope="col">{{ texts.tests }}</th>
            </tr>
          </thead>
          <tbody>
            @for (row of rows(); track row.figure) {
              <tr>
                <th scope="row">
                  {{ names[row.figure] }}<span class="term">{{ row.unit }}</span>
                </th>
                <td>{{ row.book }}</td>
                <td>
                  <b>{{ row.yours }}</b>
                </td>
                <td class="drawn" aria-hidden="true">
                  <i class="book" [style.left.%]="row.bookFrom" [style.width.%]="row.bookWide"></i>
                  <i class="yours" [style.left.%]="row.yoursFrom" [style.width.%]="row.yoursWide"></i>
                </td>
                <td>{{ row.tests }}</td>
              </tr>
            }
          </tbody>
        </table>
        <p class="term">
          {{ texts.eachIsOneStandardDeviation }}
        </p>
      } @else if (it.misfit) {
        <p class="remark warn">
          {{ texts.theTestsBelowDoNot(it.misfit) }}
        </p>
      } @else {
        <p class="lead">
          {{ texts.fromTheBookSoFar }}
        </p>
      }
    }
    <section aria-labelledby="test-it">
      <h2 id="test-it">{{ texts.testIt }}</h2>
      <div class="tests" role="group" [attr.aria-label]="texts.whichTest">
        @for (each of forms; track each.id) {
          <button
            type="button"
            class="press"
            [attr.aria-pressed]="test() === each.id"
            (click)="choose(each.id)"
          >
            {{ each.name }}
          </button>
        }
      </div>
      @let form = this.form();
      <p class="term">{{ form.howTo }}</p>
      <div class="fields">
        @if (form.chooses === 'method') {
          <app-choice-field [label]="texts.shakenAs" [choices]="methods" [(value)]="method" />
        } @else if (form.chooses === 'vessel') {
          <app-choice-field [label]="common.vessel" [choices]="vessels()" [(value)]="vessel" />
        } @else if (form.chooses === 'lime') {
          <app-choice-field [label]="texts.lime" [choices]="limes()" [(value)]="lime" />
        }
        <app-number-list [asked]="form.asked" [values]="figures()" (typed)="type($event)" />
        @if (lots().length > 0) {
          <app-choice-field
            [label]="texts.ofWhichLot"
            [none]="common.notTold"
            [choices]="lots()"
            [(value)]="lot"
          />
        }
      </div>
      @if (problem()) {
        <p class="wrong" role="alert">{{ problem() }}</p>
      }
      <button type="button" class="press" [disabled]="!ready()" (click)="enter()">{{ texts.enterIt }}</button>
    </section>
    @if (answer()?.tests; as tests) {
      @if (tests.length > 0) {
        <section>
          <h2>{{ texts.doneSoFar }}</h2>
          <ul class="rows">
            @for (test of tests; track test.id) {
              <li [class.aside]="test.aside">
                <span>{{ test.on | day: 'first' }}: {{ resultsOf(test.values) }}</span>
                <button type="button" class="press quiet" (click)="lay(test.id, !test.aside)">
                  {{ test.aside ? texts.useItAgain : texts.setItAside }}
                </button>
              </li>
            }
          </ul>
        </section>
      }
    }
  `,
  styles: `
    :host {
      display: block;
      max-width: 860px;
    }
    .back {
      display: inline-flex;
      align-items: center;
      min-height: 44px;
      color: var(--ink);
    }
    table {
      width: 100%;
      margin: 8px 0;
      border-collapse: collapse;
    }
    th,
    td {
      padding: 8px 10px 8px 0;
      border-bottom: 1px solid var(--hairline);
      text-align: left;
      vertical-align: middle;
    }
    thead th {
      color: var(--muted);
      font-size: var(--note);
      font-weight: 400;
    }
    td.drawn {
      position: relative;
      display: table-cell;
      width: 30%;
      min-width: 90px;
      height: 44px;
    }
    i {
      position: absolute;
      border-radius: 3px;
    }
    .book {
      top: 10px;
      height: 10px;
      background: var(--hairline);
    }
    .yours {
      bottom: 10px;
      height: 10px;
      border: 2px solid var(--window-edge);
      background: var(--window);
    }
    .tests {
      display: flex;
      flex-wrap: wrap;
      gap: 8px;
    }
    .tests [aria-pressed='true'] {
      background: var(--ink);
      color: var(--surface);
    }
    .fields {
      margin: 8px 0;
    }
    li {
      display: flex;
      gap: 12px;
      align-items: center;
      justify-content: space-between;
    }
    .aside > span {
      color: var(--muted);
      text-decoration: line-through;
    }
    @media (max-width: 600px) {
      td.drawn,
      thead th:nth-child(4) {
        display: none;
      }
    }
  `,
  imports: [TitlePipe, DayPipe, ChoiceField, FetchState, NumberList, RouterLink],
})
export class MaterialPage {
  protected readonly texts = texts;
  protected readonly common = common;
  readonly id = input.required<string>();
  private readonly library = inject(LibraryService);
  private readonly lotsOf = inject(LotsService);
  private readonly nursery = inject(NurseryService);
  private readonly units = inject(Units);
  protected readonly forms = testForms;
  protected readonly names = figureNames;
  protected readonly methods = ecMethods.map((id) => ({ id, name: ecMethodNames[id] }));
  protected readonly learned = signal<Resource<LearnedAnswer> | null>(null);
  protected readonly answer = computed(() => this.learned()?.value() ?? null);
  protected readonly test = signal<TestId>('weigh');
  protected readonly form = computed(() => testForms.find((testForm) => testForm.id === this.test())!);
  protected readonly figures = signal<Partial<Record<Figure, number | undefined>>>({});
  protected readonly method = signal<string | null>('oneToFive');
  protected readonly vessel = signal<string | null>('pot-9');
  protected readonly lime = signal<string | null>('lime-dolomitic');
  protected readonly lot = signal<string | null>(null);
  protected readonly problem = signal('');

  protected readonly material = computed(() => this.library.library()?.materials.get(this.id()));
  protected readonly vessels = computed(() =>
    [...(this.library.library()?.vessels.values() ?? [])].map(({ id, name }) => ({ id, name })),
  );
  protected readonly limes = computed(() =>
    [...(this.library.library()?.amendments.values() ?? [])]
      .filter((a) => a.kind === 'lime' && neutralisingMeqPerG(a) > 1)
      .map(({ id, name }) => ({ id, name: shortName(name) })),
  );
  protected readonly lots = computed(() =>
    this.lotsOf.of(this.id()).map(({ id, name }) => ({ id: String(id), name })),
  );
  protected readonly rows = computed(() =>
    (this.answer()?.figures ?? []).map(({ book, yours, ...row }) => {
      const low = Math.min(book.mean - 2 * book.sd, yours.mean - 2 * yours.sd);
      const high = Math.max(book.mean + 2 * book.sd, yours.mean + 2 * yours.sd);
      const at = (value: number): number => (100 * (value - low)) / (high - low);
      const places = high >= 100 ? 0 : high >= 10 ? 1 : 2;
      const shown = ({ mean, sd }: { mean: number; sd: number }): string =>
        `${mean.toFixed(places)} ± ${sd.toFixed(places)}`;
      return {
        ...row,
        ...{ book: shown(book), yours: shown(yours) },
        ...{ bookFrom: at(book.mean - book.sd), bookWide: at(low + 2 * book.sd) },
        ...{ yoursFrom: at(yours.mean - yours.sd), yoursWide: at(low + 2 * yours.sd) },
      };
    }),
  );
  protected readonly ready = computed(() =>
    this.form().asked.every((asked) => this.figures()[asked.name] !== undefined),
  );

  constructor() {
    effect(() => {
      const id = this.id();
      untracked(() => this.learned.set(this.library.learned(id)));
    });
  }

  protected choose(test: TestId): void {
    this.test.set(test);
    this.problem.set('');
  }

  protected type([name, value]: [Figure, number | undefined]): void {
    this.figures.update((figures) => ({ ...figures, [name]: value }));
  }

  protected enter(): void {
    const { id, asked, chooses } = this.form();
    const values = {
      test: id,
      ...Object.fromEntries(asked.map(({ name }) => [name, this.figures()[name]])),
      ...(chooses && {
        [chooses]: { method: this.method(), vessel: this.vessel(), lime: this.lime() }[chooses],
      }),
    } as LotTestGiven;
    const lot = this.lot();
    this.problem.set('');
    this.library
      .addTest(this.id(), { values, lot: lot ? Number(lot) : null, on: this.nursery.today() })
      .subscribe({
        next: (answer) => {
          this.learned()?.change(() => answer);
          this.figures.set({});
        },
        error: (error: Error) => this.problem.set(texts.notEntered(this.named(error))),
      });
  }

  /** What the server says of a figure, by the name that stands on its field. */
  private named(error: Error): string {
    const issue = error instanceof ApiError ? error.issues[0] : undefined;
    const asked = this.form().asked.find(({ name }) => name === issue?.path);
    return issue && asked ? `${asked.label} ${issue.allowed}` : error.message;
  }

  protected lay(id: number, aside: boolean): void {
    this.library.layTestAside(id, aside).subscribe({
      next: (answer) => this.learned()?.change(() => answer),
      error: (error: Error) => this.problem.set(texts.notDone(error.message)),
    });
  }

  /** A test in a line. */
  protected resultsOf(values: LotTestGiven): string {
    const form = testForms.find((testForm) => testForm.id === values.test)!;
    const read = values as unknown as Record<string, number | undefined>;
    const numbers = form.asked.map(({ name, label, unit = '' }) => {
      const { unit: shown, per, zero } = shownIn(unit, this.units.system());
      const value = Number(((read[name] ?? 0) / per + zero).toFixed(2));
      return `${/^(EC|pH)/.test(label) ? label : label.toLowerCase()} ${value} ${shown}`.trim();
    });
    return `${form.name}: ${numbers.join(', ')}`;
  }
}
