import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { beliefsOf } from '#core/judge/belief';
import { RecipeStore } from '../bench/recipe-store';
import { Fold } from '../ui/fold';
import { beliefList as texts } from '#words/en/places/mix/belief-list';

const MOST = 3;

/** What is commonly said of what was chosen, and what of it holds. */
@Component({
  selector: 'app-belief-list',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (each of said(); track each) {
      <details appFold #fold="appFold">
        <summary>{{ texts[each + '.asks'] }}</summary>
        @if (fold.opened()) {
          <p>
            {{ texts[each + '.holds'] }} <span class="term">{{ texts[each + '.source'] }}.</span>
          </p>
        }
      </details>
    }
  `,
  styles: `
    summary {
      font-size: var(--note);
    }
  `,
  imports: [Fold],
})
export class BeliefList {
  protected readonly texts: Readonly<Record<string, string>> = texts;
  private readonly store = inject(RecipeStore);
  protected readonly said = computed(() => {
    const { components, amendments, lime } = this.store.recipe();
    const products = amendments.map(({ amendment }) => amendment);
    return beliefsOf(
      components.map(({ material }) => material),
      // Lime to a pH is no belief: it is asked of lime that is dosed, and of shell.
      lime?.amendment === 'eggshell-crushed' ? [...products, lime.amendment] : products,
      this.store.kind().vessel.shape,
    ).slice(0, MOST);
  });
}
