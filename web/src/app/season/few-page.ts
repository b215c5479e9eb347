import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { inSentence } from '#words/formats';
import { RouterLink } from '@angular/router';
import { whichSearched } from '#core/finder/which-searched';
import { noPreferences, MOST_SEARCHED } from '#core/finder/fast-spec';
import { type FinderJob, starterFor } from '#core/finder/formulate';
import { windowsWanted } from '#core/recipe/windows-wanted';
import { showQuantity, withUnit } from '#core/units/said';
import { MOST_CASES } from '#core/season/few-mixes';
import { ApproachChoice } from '../data/approach-choice';
import { ShelfService } from '../data/shelf';
import { SpreadChoice } from '../data/spread-choice';
import { Units } from '../data/units';
import { RecipeStore } from '../bench/recipe-store';
import { FetchState } from '../ui/fetch-state';
import { shortName, stageNames } from '../ui/words/words';
import { type BaseTold } from '../workers/season.protocol';
import { SeasonSearch } from './season-search';
import { SeasonView } from './season-view';
import { fewPage as texts } from '#words/en/places/season/few-page';
import { common } from '#words/en/places/common';
import { TitlePipe } from '../ui/words/title';

const PARTS = 8;
const MATERIALS = 4;

/** One base, few mixes: the fewest recipes of the shelf that keep every step of the season inside its windows. */
@Component({
  selector: 'app-few-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './few-page.html',
  styles: `
    h3 {
      margin: 16px 0 4px;
      font-size: var(--lead);
    }
    li {
      display: grid;
      grid-template-columns: minmax(0, 300px) 90px minmax(0, 1fr);
      gap: 4px 16px;
      padding: 6px 0;
      border-bottom: 1px solid var(--hairline);
    }
    progress {
      accent-color: var(--window-edge);
      width: 220px;
      max-width: 100%;
    }
    a {
      color: var(--ink);
    }
    @media (max-width: 600px) {
      li {
        grid-template-columns: minmax(0, 1fr) auto;
      }
      li > :last-child {
        grid-column: 1 / -1;
      }
    }
  `,
  imports: [TitlePipe, FetchState, RouterLink],
})
export class FewPage {
  protected readonly texts = texts;
  protected readonly common = common;
  protected readonly view = inject(SeasonView);
  protected readonly search = inject(SeasonSearch);
  protected readonly shelf = inject(ShelfService).lines;
  private readonly store = inject(RecipeStore);
  private readonly approach = inject(ApproachChoice).approach;
  private readonly spreads = inject(SpreadChoice).spreads;
  private readonly units = inject(Units);
  protected readonly parts = PARTS;
  protected readonly materials = MATERIALS;

  /** Kinds of steps: a stage in a vessel, with windows for acid lovers where the plant is one. */
  protected readonly cases = computed(() => {
    const cases = new Map<string, { name: string; crops: Set<string>; stage: string; job: FinderJob }>();
    const library = this.store.library();
    const shelved = (this.shelf.value() ?? []).flatMap(({ material, here }) => {
      const each = here ? library?.materials.get(material) : undefined;
      return each ? [{ material: each }] : [];
    });
    if (!library || shelved.length === 0) return [];
    for (const { crop, steps } of this.view.season()?.sowings ?? [])
      for (const { step, kind } of steps) {
        if (kind.ownMix) continue;
        const key = `${step.stage} ${kind.id} ${crop.acid}`;
        const existing = cases.get(key);
        if (existing) {
          existing.crops.add(crop.name);
          continue;
        }
        if (cases.size === MOST_CASES) continue;
        const windows = windowsWanted(step.stage, crop.acid ? 'acid-lovers' : undefined, library.windows);
        cases.set(key, {
          name: `${stageNames[step.stage].name}, ${kind.name}${crop.acid ? texts.acidLovers : ''}`,
          stage: step.stage,
          crops: new Set([crop.name]),
          job: {
            ...{ stage: step.stage, vessel: kind.vessel, compaction: kind.usualCompaction },
            shelved: whichSearched(shelved, new Set(), MOST_SEARCHED),
            ...{ maxTotal: PARTS, minParts: {}, maxParts: {}, materialsMax: MATERIALS, peatMax: 1 },
            preferences: noPreferences,
            lime: crop.acid ? null : (library.amendments.get('lime-dolomitic') ?? null),
            starter: starterFor(step.stage, library.amendments),
            fixedDoses: [],
            habits: this.approach().habits ?? {},
            ...(windows && { windows }),
          },
        });
      }
    return [...cases.values()].map((value) => ({ ...value, crops: [...value.crops].join(', ') }));
  });

  protected look(): void {
    void this.search.lookForFew(
      this.cases().map(({ job }) => job),
      this.spreads(),
    );
  }

  protected partsOf({ parts }: BaseTold): string {
    return parts.map((part) => `${part.parts} ${inSentence(shortName(part.name))}`).join(' : ');
  }

  protected dosesOf(doses: BaseTold['cases'][number]['doses']): string {
    if (doses.length === 0) return texts.asItIs;
    const said = doses.map(
      ({ name, gPerL }) =>
        `${withUnit(showQuantity({ doseGPerL: gPerL }, this.units.system()))} ${inSentence(shortName(name))}`,
    );
    return texts.withIt(said.join(', '));
  }

  protected inTen(odds: number): string {
    return texts.in10(Math.round(10 * odds));
  }
}
