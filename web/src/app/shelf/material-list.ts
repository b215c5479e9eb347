import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal } from '@angular/core';
import { ShelfLineRow } from '../bench/shelf-line';
import { LibraryService } from '../data/library';
import { ShelfService } from '../data/shelf';
import { shortName } from '../ui/words/words';
import { RouterLink } from '@angular/router';
import { TableFiles } from '../ui/table-files';
import { OwnWays } from './own-ways';
import { FetchState } from '../ui/fetch-state';
import { materialList as texts } from '#words/en/places/shelf/material-list';
import { common } from '#words/en/places/common';

/** Which materials stand on the shelf, and what each costs. */
@Component({
  selector: 'app-material-list',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p class="lead">
      {{ texts.tickWhatYouHaveThe }}
    </p>
    <app-fetch-state [of]="library.fetched" [what]="texts.theMaterials" />
    <app-fetch-state [of]="shelf.lines" [what]="common.theShelf" />
    <p>
      <button type="button" class="press" (click)="own.scrollIntoView()">{{ texts.addYourOwn }}</button>
    </p>
    <ul class="plain" [attr.aria-label]="common.materials">
      @for (material of materials(); track material.id) {
        <li>
          <app-shelf-line [material]="material" [withState]="true" />
          <a [routerLink]="[material.id]"
            >{{ texts.tests
            }}<span class="visually-hidden"> {{ texts.ofIt(shortName(material.name)) }}</span></a
          >
        </li>
      }
    </ul>
    <div #own><app-own-ways /></div>
    <app-table-files table="materials" />
  `,
  styles: `
    li > a {
      display: flex;
      align-items: center;
      min-height: 44px;
      color: var(--ink);
      font-size: var(--note);
    }
    ul {
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(min(100%, 320px), 1fr));
      gap: 0 32px;
      align-items: start;
    }
    li {
      display: grid;
      grid-template-columns: minmax(0, 1fr) auto;
      gap: 0 10px;
      align-items: start;
      padding: 4px 0;
      border-bottom: 1px solid var(--hairline);
    }
  `,
  imports: [FetchState, OwnWays, RouterLink, ShelfLineRow, TableFiles],
})
export class MaterialList {
  protected readonly texts = texts;
  protected readonly common = common;
  protected readonly library = inject(LibraryService);
  protected readonly shelf = inject(ShelfService);
  protected readonly shortName = shortName;
  /** One's own first, then what stands here; each in the order of the library. */
  protected readonly materials = computed(() => {
    const library = this.library.library();
    const first = ({ id }: { id: string }): number =>
      library?.own?.has(id) ? 0 : this.before().has(id) ? 1 : 2;
    return [...(library?.materials.values() ?? [])].sort((a, b) => first(a) - first(b));
  });
  /** What stood there as the page opened: a tick does not make its line jump away. */
  private readonly before = linkedSignal<ReadonlySet<string> | null, ReadonlySet<string>>({
    source: computed(() => {
      const lines = this.shelf.lines.value();
      return lines ? new Set(lines.filter(({ here }) => here).map(({ material }) => material)) : null;
    }),
    computation: (here, was) => (was && was.value.size > 0 ? was.value : (here ?? new Set())),
  });
}
