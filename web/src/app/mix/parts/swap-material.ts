import { inSentence } from '#words/formats';
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
import { ReaderHere } from '../../data/reader-here';
import { NgbDropdownModule } from '@ng-bootstrap/ng-bootstrap/dropdown';
import { type Swap } from '#core/finder/swap';
import { type Material } from '#core/material/material';
import { fixed } from '#core/units/show';
import { ShelfService } from '../../data/shelf';
import { NumberField } from '../../ui/fields/number-field';
import { Amount } from '../../ui/words/amount';
import { Swatch } from '../../ui/pictures/swatch';
import { materialSays, readingWords, shortName } from '../../ui/words/words';
import { RecipeStore } from '../../bench/recipe-store';
import { SwapSearch } from '../../bench/swap-search';
import { swapMaterial as texts } from '#words/en/places/mix/parts/swap-material';

const SHOWN = 7;

/** The name of a part; pressed, it offers what could stand in its place, with parts and doses worked out again. */
@Component({
  selector: 'app-swap-material',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div ngbDropdown #menu="ngbDropdown" placement="bottom-start top-start" (openChange)="isOpen.set($event)">
      <button type="button" class="ask" ngbDropdownToggle [attr.aria-label]="texts.swap + name()">
        <b>{{ name() }}</b>
        <span class="term"
          >{{ says(material().id, material().role) }}{{ screenedMm() ? texts.screenedAt : '' }}
          @if (screenedMm(); as mm) {
            <app-amount [of]="{ lengthMm: mm }" />
          }
        </span>
      </button>
      <div ngbDropdownMenu>
        @if (menu.isOpen()) {
          <div class="screen">
            <app-number-field
              (click)="$event.stopPropagation()"
              (keydown)="typing($event)"
              [label]="texts.screenedFirstAt"
              unit="mm"
              within="screenedMm"
              [value]="screenedMm()"
              (valueChange)="screen($event)"
            />
          </div>
          <p class="term">{{ texts.inItsPlaceMadeTo }}</p>
          @for (swap of swaps(); track swap.swap.to.id) {
            <button type="button" ngbDropdownItem (click)="take(swap.first)">
              <app-swatch class="small" [material]="swap.swap.to.id" />
              <span>
                <b>{{ swap.name }}</b>{{ swap.here ? texts.onYourShelf : '' }}
                <span class="term">{{ swap.parts }}</span>
                <span class="term">{{ swap.remark }}</span>
              </span>
            </button>
            @if (swap.other; as other) {
              <button type="button" ngbDropdownItem class="other" (click)="take(swap.swap)">
                <span>
                  <span class="term">{{ texts.orWithOtherShares }} {{ other.parts }}</span>
                  <span class="term">{{ other.remark }}</span>
                </span>
              </button>
            }
          } @empty {
            <p role="status">{{ waiting() ? texts.looking : texts.nothingCanStandInFor }}</p>
          }
        }
      </div>
    </div>
  `,
  styles: `
    .ask {
      min-height: 40px;
      line-height: 1.2;
      text-decoration: none;
      text-align: left;
    }
    .ask b {
      text-decoration: underline dotted var(--muted);
      text-underline-offset: 3px;
    }
    .ask.dropdown-toggle::after {
      display: none;
    }
    .dropdown-menu {
      width: min(430px, calc(100vw - 24px));
      max-height: 70vh;
      overflow: auto;
    }
    p {
      margin: 4px 12px;
    }
    .screen {
      margin: 4px 12px 8px;
    }
    .other {
      padding-left: 62px;
    }
    .small {
      flex: none;
      width: 26px;
      height: 30px;
    }
  `,
  imports: [Amount, NgbDropdownModule, NumberField, Swatch],
})
export class SwapMaterial {
  protected readonly reader = inject(ReaderHere);
  protected readonly texts = texts;
  private readonly store = inject(RecipeStore);
  private readonly search = inject(SwapSearch);
  private readonly shelf = inject(ShelfService);
  readonly material = input.required<Material>();
  protected readonly says = materialSays;
  protected readonly name = computed(() => shortName(this.material().name));

  /** Aperture of the screen that it goes through first; undefined for none. */
  protected readonly screenedMm = computed(
    () => this.store.recipe().components.find((c) => c.material === this.material().id)?.screenedMm,
  );

  protected readonly isOpen = signal(false);
  /** Asks as soon as the mix is worked out, also where the menu was opened before, and again when it is another. */
  protected readonly asks = effect(() => {
    const outcome = this.store.outcome();
    const from = this.material().id;
    if (this.isOpen() && outcome.state === 'computed')
      untracked(() => void this.search.ask(outcome.judgement, from));
  });

  private readonly answer = computed(() => {
    const answer = this.search.answer();
    return answer?.from === this.material().id ? answer.swaps : null;
  });
  protected readonly waiting = computed(() => this.answer() === null);
  /** The most alike first; of those that match as well, what stands on the shelf. */
  protected readonly swaps = computed(() =>
    [...(this.answer() ?? [])]
      .map((swap) => {
        // Part for part first; other shares where that is not alike and they are more so.
        const first = swap.plain ?? swap;
        const better = first !== swap && swap.unmatched.length < first.unmatched.length;
        return {
          ...{ swap, first, here: this.shelf.line(swap.to.id).here, name: shortName(swap.to.name) },
          ...{ parts: this.partsOf(first), remark: this.remarkOn(first) },
          other: better ? { parts: this.partsOf(swap), remark: this.remarkOn(swap) } : null,
        };
      })
      .sort((a, b) => a.swap.unmatched.length - b.swap.unmatched.length || Number(b.here) - Number(a.here))
      .slice(0, SHOWN),
  );

  /** Keys that are typed into the field are not the menu's. */
  protected typing(event: KeyboardEvent): void {
    if (event.key !== 'Escape' && event.key !== 'Tab') event.stopPropagation();
  }

  protected screen(mm: number | undefined): void {
    const components = this.store.recipe().components.map((c) => {
      if (c.material !== this.material().id) return c;
      const { screenedMm: _, ...bare } = c;
      return mm === undefined ? bare : { ...bare, screenedMm: mm };
    });
    this.store.patch({ components }, `screen ${this.material().id}`);
  }

  protected take(swap: Swap): void {
    this.store.patch(
      {
        components: swap.components.map(({ material: { id }, parts }) => {
          // What was screened stays so.
          const mm = this.store.recipe().components.find((c) => c.material === id)?.screenedMm;
          return { material: id, parts, ...(mm !== undefined && { screenedMm: mm }) };
        }),
        amendments: swap.amendments.map((d) => ({
          amendment: d.amendment.id,
          gPerL: Math.round(d.gPerL * 1000) / 1000,
        })),
        lime: swap.limeToPh && {
          amendment: swap.limeToPh.amendment.id,
          ph: Math.round(swap.limeToPh.ph * 100) / 100,
        },
      },
      `swap ${this.material().id} ${swap.to.id}`,
    );
  }

  private partsOf({ components }: Swap): string {
    return components.map((c) => `${c.parts} ${this.reader.formats().name(c.material)}`).join(' · ');
  }

  private remarkOn({ unmatched }: Swap): string {
    if (unmatched.length === 0) return texts.behavesAlike;
    const { noun } = this.store.kind();
    const all = unmatched.map(({ id, was, is }) => {
      const { name, places } = readingWords(id, noun);
      return `${inSentence(name)} ${fixed(was, places)} → ${fixed(is, places)}`;
    });
    return texts.notMatched(all.join(', '));
  }
}
