import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { explain, type ExplainedId } from '#core/explain/explain';
import { type Judgement } from '#core/judge/judge';
import { SaidPipe } from '../../ui/words/said';
import { type Kind } from '#core/units/kind';
import { type SumPart } from '#words/catalog';
import { aboutSum, formatsOf } from '#words/read';
import { ReaderHere } from '../../data/reader-here';
import { whereFrom as texts } from '#words/en/places/mix/answer/where-from';

/** Where a number comes from: the sum in words, its inputs, its source, what would change it most. */
@Component({
  selector: 'app-where-from',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p>{{ says('how') }}</p>
    <table>
      <caption class="visually-hidden">
        {{
          texts.whatGoesIn
        }}
      </caption>
      <tbody>
        @for (term of it().terms; track $index) {
          <tr>
            <th scope="row">{{ term.what | said }}</th>
            <td class="n">{{ quantity(term.value, term.kind) }}</td>
            <td>{{ term.from | said }}</td>
          </tr>
        }
      </tbody>
    </table>
    @if (it().movers.length > 0) {
      <p>
        <b>{{ texts.whatMovesItMost }}</b>
        @for (mover of it().movers; track mover.what.say + $index) {
          {{ mover.what | said }} <b>{{ change(mover.by) }}</b>{{ $last ? '.' : ',' }}
        }
      </p>
    }
    <p class="term">{{ texts.source(says('source'), says('limits')) }}</p>
  `,
  styles: `
    :host {
      display: block;
      grid-column: 1 / -1;
      padding: 4px 12px 10px;
      background: var(--surface);
      font-size: var(--note);
    }
    p {
      margin: 4px 0;
    }
    table {
      width: 100%;
    }
    th {
      font-weight: 450;
    }
    td {
      padding: 1px 0 1px 12px;
      color: var(--muted);
    }
    .n {
      color: var(--ink);
      font-weight: 650;
      text-align: right;
      white-space: nowrap;
    }
  `,
  imports: [SaidPipe],
})
export class WhereFrom {
  protected readonly texts = texts;
  private readonly reader = inject(ReaderHere);
  readonly judgement = input.required<Judgement>();
  readonly of = input.required<ExplainedId>();
  protected readonly it = computed(() => explain(this.judgement(), this.of()));

  private readonly forms = computed(() => formatsOf(this.reader.now()));

  protected says(part: SumPart): string {
    return aboutSum(this.of(), part, this.reader.now());
  }

  protected quantity(value: number, kind: Kind): string {
    return this.forms().quantity(value, kind);
  }

  protected change(by: number): string {
    return `${by > 0 ? '+' : '−'}${this.forms().quantity(Math.abs(by), this.it().kind)}`;
  }
}
