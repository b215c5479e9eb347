import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { type CropShare, PlantsService } from '../data/plants';
import { resourceOf } from '../data/resource';
import { grownInIt as texts } from '#words/en/places/bench/grown-in-it';

const MOST = 3;

/** What of several batches came up, by crop, the most counted first. */
export function byCrop(results: readonly { crops: readonly CropShare[] }[]): CropShare[] {
  const all = new Map<string, CropShare>();
  for (const each of results.flatMap(({ crops }) => crops)) {
    const key = `${each.crop} ${each.struck}`;
    const sum = all.get(key);
    all.set(
      key,
      sum
        ? {
            ...sum,
            plantings: sum.plantings + each.plantings,
            trays: sum.trays + each.trays,
            up: { alive: sum.up.alive + each.up.alive, of: sum.up.of + each.up.of },
          }
        : each,
    );
  }
  return [...all.values()].filter(({ up }) => up.of > 0).sort((a, b) => b.up.of - a.up.of);
}

/** "Lettuce: 92 % of 14 trays came up in it". */
export const cropSays = ({ name, struck, trays, up }: CropShare): string =>
  texts.says(name, Math.round((100 * up.alive) / up.of), Math.max(1, Math.round(trays)), struck);

/** What has grown in a saved recipe, by crop: it speaks beside what is found in it. */
@Component({
  selector: 'app-grown-in-it',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (says(); as it) {
      <p class="term">{{ it }}</p>
    }
  `,
})
export class GrownInIt {
  readonly mix = input.required<number>();
  private readonly plants = inject(PlantsService);
  private readonly fetched = resourceOf(
    computed(() => String(this.mix())),
    (id) => this.plants.results('mix', id),
  );
  protected readonly says = computed(() =>
    byCrop(this.fetched.value() ?? [])
      .slice(0, MOST)
      .map((each) => cropSays(each))
      .join(' · '),
  );
}
