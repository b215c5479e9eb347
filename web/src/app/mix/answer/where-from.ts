import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { explain, type ExplainedId } from '#core/explain/explain';
import { type Judgement } from '#core/judge/judge';
import { SaidPipe } from '../../ui/words/said';
import { significant } from '#core/units/show';

/** Where a number comes from: the sum in words, its inputs, its source, what would change it most. */
@Component({
  selector: 'app-where-from',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p>{{ it().how | said }}</p>
    <table>
      <caption class="visually-hidden">
        What goes in
      </caption>
      <tbody>
        @for (term of it().terms; track $index) {
          <tr>
            <th scope="row">{{ term.name | said }}</th>
            <td class="n">{{ number(term.value) + ' ' + term.unit | said }}</td>
            <td>{{ term.from | said }}</td>
          </tr>
        }
      </tbody>
    </table>
    @if (it().movers.length > 0) {
      <p>
        <b>What moves it most:</b>
        @for (mover of it().movers; track mover.what) {
          {{ mover.what | said }} <b>{{ signed(mover.by) }}</b>{{ $last ? '.' : ',' }}
        }
      </p>
    }
    <p class="term">Source: {{ it().source }}. {{ it().limits | said }}</p>
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
  readonly judgement = input.required<Judgement>();
  readonly of = input.required<ExplainedId>();
  protected readonly it = computed(() => explain(this.judgement(), this.of()));

  protected number(value: number): string {
    return significant(value, 3);
  }

  protected signed(value: number): string {
    return `${value > 0 ? '+' : '−'}${significant(Math.abs(value), 2)}`;
  }
}
