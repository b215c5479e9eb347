import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { NgbDropdownModule } from '@ng-bootstrap/ng-bootstrap/dropdown';
import { swapAnalysis, usualBasis, type SwapBasis, type SwapChange } from '#core/mix/analysis-swap';
import { type Amendment } from '#core/material/amendment';
import { significant } from '#core/units/show';
import { Amount } from '../../ui/words/amount';
import { shortName } from '../../ui/words/words';
import { RecipeStore } from '../../bench/recipe-store';
import { swapMenu as texts } from '#words/en/places/mix/doses/swap-menu';
import { ReaderHere } from '../../data/reader-here';

const basisWords: Record<SwapBasis, string> = {
  n: texts.asMuchNitrogen,
  p: texts.asMuchPhosphorus,
  k: texts.asMuchPotassium,
  lime: texts.asMuchLimeValue,
};
const changeWords: Record<SwapChange['what'], [name: string, unit: string]> = {
  n: ['N', 'mg/L'],
  p: ['P', 'mg/L'],
  k: ['K', 'mg/L'],
  ca: ['Ca', 'mg/L'],
  mg: ['Mg', 'mg/L'],
  saltsMeq: ['salts', 'meq/L'],
  limeMeq: [texts.limeValue, 'meq/L'],
  readyNInTwoWeeks: [texts.nReadyInTwoWeeks, 'mg/L'],
};

/** "I have this product instead": as much of what it is bought for, and what else changes. */
@Component({
  selector: 'app-swap-menu',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (basis(); as by) {
      <div ngbDropdown #menu="ngbDropdown" placement="bottom-start top-start">
        <button type="button" class="press quiet" ngbDropdownToggle>
          {{ texts.useADifferentProduct
          }}<span class="visually-hidden"> {{ texts.than(amendment().name) }}</span>
        </button>
        <div ngbDropdownMenu>
          @if (menu.isOpen()) {
            <p class="term">{{ texts.eachBrings(words[by]) }}</p>
            @for (other of others(); track other.amendment.id) {
              <button type="button" ngbDropdownItem (click)="take(other.amendment.id, other.gPerL)">
                <span>
                  <b>{{ shortName(other.amendment.name) }}</b>&ngsp;
                  <app-amount [of]="{ doseGPerL: other.gPerL }" />
                  <span class="term">{{ other.changes }}</span>
                </span>
              </button>
            } @empty {
              <p class="term">{{ texts.nothingElseOnTheShelf }}</p>
            }
          }
        </div>
      </div>
    }
  `,
  styles: `
    .press {
      min-height: 44px;
      padding: 0;
      font-weight: 450;
      font-size: var(--note);
      text-decoration: underline dotted;
      text-underline-offset: 3px;
    }
    .dropdown-menu {
      width: min(400px, calc(100vw - 24px));
    }
    p {
      margin: 4px 12px;
    }
  `,
  imports: [Amount, NgbDropdownModule],
})
export class SwapMenu {
  protected readonly texts = texts;
  private readonly reader = inject(ReaderHere);
  private readonly store = inject(RecipeStore);
  readonly amendment = input.required<Amendment>();
  readonly gPerL = input.required<number>();
  protected readonly words = basisWords;
  protected readonly shortName = shortName;
  protected readonly basis = computed(() => usualBasis(this.amendment()));

  protected readonly others = computed(() => {
    const by = this.basis();
    const from = this.amendment();
    if (!by) return [];
    return [...(this.store.library()?.amendments.values() ?? [])]
      .filter((to) => to.id !== from.id && usualBasis(to) === by)
      .map((amendment) => {
        const { gPerL, changes } = swapAnalysis(from, this.gPerL(), amendment, by);
        return { amendment, gPerL, changes: changes.map((change) => this.says(change)).join(' · ') };
      });
  });

  private says({ what, from, to }: SwapChange): string {
    const [name, unit] = changeWords[what];
    const shown = unit === 'mg/L' && this.reader.now().units === 'us' ? 'ppm' : unit;
    return `${name} ${significant(from, 2)} → ${significant(to, 2)} ${shown}`;
  }

  protected take(id: string, gPerL: number): void {
    const doses = this.store.recipe().amendments;
    const already = doses.find((d) => d.amendment === id)?.gPerL ?? 0;
    const amendments = doses
      .filter((d) => d.amendment !== id)
      .map((d) =>
        d.amendment === this.amendment().id
          ? { amendment: id, gPerL: Math.round((gPerL + already) * 1000) / 1000 }
          : d,
      );
    this.store.patch({ amendments }, `swap ${this.amendment().id} ${id}`);
  }
}
