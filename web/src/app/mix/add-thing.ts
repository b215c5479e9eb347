import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { NgbDropdownModule } from '@ng-bootstrap/ng-bootstrap/dropdown';
import { usualDose } from '#core/mix/usual-dose';
import { addThing as texts } from '#words/en/places/mix/add-thing';
import { alsoCalled } from '#words/en/places/mix/also-called';
import { RecipeStore } from '../bench/recipe-store';
import { isSought, MenuSearch } from '../ui/fields/menu-search';
import { Amount } from '../ui/words/amount';
import { Swatch } from '../ui/pictures/swatch';
import { materialSays, productSays, shortName } from '../ui/words/words';

/** Of either list: a material goes among the parts, a product among the doses. */
interface Offered {
  id: string;
  kind: 'material' | 'product';
  name: string;
  says: string;
  /** Of a material: its largest pieces. */
  bitsMm: number | null;
}

/**
 * Puts a material or a product into the recipe. All of its own kind stand in the menu; what is sought is found in both
 * lists, by everyday names too, and what nobody has can be made.
 */
@Component({
  selector: 'app-add-thing',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div ngbDropdown #menu="ngbDropdown" class="add" [placement]="placement()" (openChange)="sought.set('')">
      <button type="button" class="press" ngbDropdownToggle>
        {{ kind() === 'material' ? texts.addAMaterial : texts.addAFertiliserOrLime }}
      </button>
      <div ngbDropdownMenu>
        @if (menu.isOpen()) {
          <app-menu-search
            [label]="kind() === 'material' ? texts.findAMaterial : texts.findAFertiliserOrLime"
            [(sought)]="sought"
          />
          @for (each of offered(); track each.id) {
            <button type="button" ngbDropdownItem (click)="add(each)">
              @if (each.kind === 'material') {
                <app-swatch class="small" [material]="each.id" />
              }
              <span>
                {{ each.name }}
                <span class="term">
                  @if (each.bitsMm !== null) {
                    {{ texts.bitsTo(each.says) }} <app-amount [of]="{ lengthMm: each.bitsMm }" />
                  } @else {
                    {{ each.says }}
                  }
                </span>
              </span>
            </button>
          } @empty {
            <p class="term">{{ texts.nothingHasThatName }}</p>
          }
          <a
            ngbDropdownItem
            class="own"
            [routerLink]="kind() === 'material' ? '/shelf/materials' : '/shelf/products'"
            [queryParams]="{ called: sought().trim() || null }"
          >
            <span>
              {{ texts.makeYourOwn }}
              @if (sought().trim(); as name) {
                <span class="term">{{ texts.called(name) }}</span>
              }
            </span>
          </a>
        }
      </div>
    </div>
  `,
  styles: `
    :host {
      display: block;
      flex: none;
    }
    .add {
      position: relative;
      display: flex;
      flex: none;
      justify-content: flex-end;
    }
    .dropdown-menu {
      width: 300px;
      max-width: calc(100vw - 28px);
    }
    .small {
      flex: none;
      width: 28px;
      height: 28px;
    }
    .own {
      border-top: 1px solid var(--hairline);
      color: var(--ink);
    }
  `,
  imports: [Amount, MenuSearch, NgbDropdownModule, RouterLink, Swatch],
})
export class AddThing {
  protected readonly texts = texts;
  private readonly store = inject(RecipeStore);
  readonly kind = input.required<'material' | 'product'>();
  readonly placement = input.required<string>();
  protected readonly sought = signal('');

  private readonly materials = computed((): Offered[] => {
    const used = new Set(this.store.recipe().components.map(({ material }) => material));
    return [...(this.store.library()?.materials.values() ?? [])]
      .filter(({ id }) => !used.has(id))
      .map(({ id, name, role, maxParticleMm }) => ({
        ...{ id, kind: 'material', name: shortName(name), says: materialSays(id, role) },
        bitsMm: maxParticleMm,
      }));
  });
  private readonly products = computed((): Offered[] => {
    const used = new Set(this.store.recipe().amendments.map(({ amendment }) => amendment));
    return [...(this.store.library()?.amendments.values() ?? [])]
      .filter(({ id }) => !used.has(id))
      .map(({ id, name, kind }) => ({
        ...{ id, kind: 'product', name: shortName(name), says: productSays[kind] },
        bitsMm: null,
      }));
  });
  protected readonly offered = computed(() => {
    const both = [this.materials(), this.products()];
    const [own, other] = this.kind() === 'material' ? both : both.reverse();
    const sought = this.sought();
    if (sought.trim() === '') return own!;
    const names: Readonly<Record<string, string>> = alsoCalled;
    return [...own!, ...other!].filter(({ id, name, says }) => isSought(sought, name, says, names[id] ?? ''));
  });

  protected add({ id, kind }: Offered): void {
    const { components, amendments, stage } = this.store.recipe();
    const product = this.store.library()?.amendments.get(id);
    if (kind === 'material')
      this.store.patch({ components: [...components, { material: id, parts: 1 }] }, `add ${id}`);
    else if (product)
      this.store.patch(
        { amendments: [...amendments, { amendment: id, gPerL: usualDose(product, stage) }] },
        `add ${id}`,
      );
  }
}
