import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { fixed } from '#core/units/show';
import { BenchAdviser } from '../../bench/adviser';
import { HowSure } from '../../bench/how-sure';
import { RecipeStore } from '../../bench/recipe-store';
import { SaidPipe } from '../../ui/words/said';
import { VerdictPipe } from '../../ui/words/verdict';
import { lasting } from '../../ui/lasting';
import { heldDownWords, oddsWords, readingWords } from '../../ui/words/words';
import { verdictLine as texts } from '#words/en/places/mix/answer/verdict-line';
import { common } from '#words/en/places/common';

/** One line above all: ready, watch out or stop, and how sure; and the smallest change that puts it right. */
@Component({
  selector: 'app-verdict-line',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="verdict" [class]="verdict()">
      <div>
        <p role="status">
          @if (judgement(); as of) {
            <b>{{ of | verdict }}</b>&ngsp;
          }
          @if (sampled(); as last) {
            <span class="odds" [class.unknown]="!sure.result()"
              >{{ ready() ? texts.chanceThatItStaysSo : texts.chanceThatAllIsIn }} {{ odds() }}</span
            >
          }
        </p>
        @if (sampled(); as last) {
          <p class="term" [class.unknown]="!sure.keptDown()">
            {{ heldDown() }} {{ texts.asMaterialsScoopsAndLime(last.draws) }}
          </p>
        }
      </div>
      @if (verdict() !== 'ready') {
        <button
          type="button"
          class="press next"
          [class.unknown]="!mend()"
          [attr.aria-expanded]="open()"
          (click)="open.set(!open())"
        >
          {{ texts.mendIt }}
        </button>
      }
    </div>
    @if (open() && mend(); as way) {
      <div class="preview" role="status">
        <p>{{ way.says | said }}</p>
        <table>
          <tbody>
            @for (move of moves(); track move.name) {
              <tr>
                <th scope="row">{{ move.name }}</th>
                <td>{{ move.from }}</td>
                <td>→</td>
                <td>
                  <b>{{ move.to }}</b>
                </td>
              </tr>
            }
          </tbody>
        </table>
        <button type="button" class="press next" (click)="press()">{{ texts.doIt }}</button>
        <button type="button" class="press quiet" (click)="open.set(false)">{{ common.cancel }}</button>
      </div>
    }
  `,
  styleUrl: './verdict-line.scss',
  imports: [SaidPipe, VerdictPipe],
})
export class VerdictLine {
  protected readonly texts = texts;
  protected readonly common = common;
  readonly noun = input.required<string>();
  private readonly adviser = inject(BenchAdviser);
  private readonly store = inject(RecipeStore);
  protected readonly sure = inject(HowSure);
  /** The recipe that a preview was opened for. */
  private readonly openFor = signal<unknown>(null);
  protected readonly open = Object.assign(
    computed(() => this.openFor() === this.store.recipe()),
    { set: (open: boolean) => this.openFor.set(open ? this.store.recipe() : null) },
  );
  protected readonly verdict = lasting(this.adviser.verdict);
  protected readonly ready = computed(() => this.verdict() === 'ready');
  /** Of the last that could be computed. */
  protected readonly judgement = lasting(this.adviser.judgement);
  /** The smallest change that puts all of it right; null until it is found, or where none does. */
  protected readonly mend = computed(() => this.adviser.mend());
  protected readonly moves = computed(() =>
    (this.mend()?.moves ?? []).flatMap(({ of, from, to }) => {
      const { name, places } = readingWords(of, this.noun());
      const [a, b] = [fixed(from, places), fixed(to, places)];
      return a === b ? [] : [{ name, from: a, to: b }];
    }),
  );
  /** How sure it is; out of sight while the sample is of another recipe. */
  protected readonly sampled = lasting(this.sure.result);
  /** In plain odds: "9 in 10". */
  protected readonly odds = computed(() => oddsWords(this.sampled()?.allInside ?? 0));
  /** What keeps the odds down and which test would lift them, in a sentence. */
  protected readonly heldDown = lasting(() => {
    const [result, by] = [this.sure.result(), this.sure.keptDown()];
    if (!result || !by) return null;
    // Not beside odds that read as eight in ten.
    return result.allInside < 0.75 ? heldDownWords(by, this.noun()) : '';
  });

  protected press(): void {
    const way = this.mend();
    if (!way) return;
    this.open.set(false);
    this.adviser.press(way);
  }
}
