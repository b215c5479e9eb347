import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { fixed } from '#core/units/show';
import { volumeL } from '#core/vessel/vessel';
import { RecipeStore } from '../bench/recipe-store';
import { oddsWords, readingWords, shortName } from '../ui/words/words';
import { type Listed } from './finder-search';
import { compareTable as texts } from '#words/en/places/finder/compare-table';

/** Up to three recipes side by side; a row in which they differ is marked. */
@Component({
  selector: 'app-compare-table',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="scroll">
      <table>
        <thead>
          <tr>
            <th scope="col">
              <span class="visually-hidden">{{ texts.what }}</span>
            </th>
            @for (each of list(); track $index) {
              <th scope="col">{{ 'ABC'[$index] }}</th>
            }
          </tr>
        </thead>
        <tbody>
          @for (row of rows(); track row.name) {
            <tr [class.differs]="row.differs">
              <th scope="row">
                {{ row.name }}
                @if (row.differs) {
                  <span class="visually-hidden">{{ texts.differs }}</span>
                }
              </th>
              @for (cell of row.cells; track $index) {
                <td>{{ cell }}</td>
              }
            </tr>
          }
        </tbody>
      </table>
    </div>
  `,
  styles: `
    .scroll {
      overflow-x: auto;
      margin-bottom: 10px;
    }
    table {
      width: 100%;
      font-size: var(--note);
    }
    th {
      font-weight: 450;
    }
    td,
    thead th {
      padding: 3px 6px;
      text-align: right;
      white-space: nowrap;
    }
    tr {
      border-bottom: 1px solid var(--hairline);
    }
    .differs td,
    .differs th {
      font-weight: 700;
    }
    .differs th::before {
      content: '≠ ';
    }
  `,
})
export class CompareTable {
  protected readonly texts = texts;
  readonly list = input.required<readonly Listed[]>();
  readonly counted = input.required<string>();
  private readonly store = inject(RecipeStore);

  protected readonly rows = computed(() => {
    const list = this.list();
    const row = (name: string, cells: string[]): { name: string; cells: string[]; differs: boolean } => ({
      name,
      cells,
      differs: new Set(cells).size > 1,
    });
    const materials = [...new Set(list.flatMap((listed) => Object.keys(listed.found.parts)))];
    const library = this.store.library();
    const kind = this.store.kind();
    return [
      ...materials.map((id) =>
        row(
          shortName(library?.materials.get(id)?.name ?? id),
          list.map((listed) => String(listed.found.parts[id] ?? 0)),
        ),
      ),
      ...list[0]!.found.judgement.readings.map((r) =>
        row(
          readingWords(r.id, kind.noun).name,
          list.map((listed) => {
            const present = listed.found.judgement.readings.find((x) => x.id === r.id);
            return present ? fixed(present.value, readingWords(r.id, '').places) : '–';
          }),
        ),
      ),
      row(
        texts.allRight,
        list.map((listed) => (listed.odds === null ? '…' : oddsWords(listed.odds))),
      ),
      row(
        texts.peat,
        list.map((listed) => fixed(listed.found.judgement.evaluation.peat * 100, 0)),
      ),
      row(
        texts.priceA(this.counted()),
        list.map((listed) =>
          listed.found.costPerL === null
            ? '–'
            : fixed(listed.found.costPerL * volumeL(kind.vessel) * kind.perTray, 2),
        ),
      ),
    ];
  });
}
