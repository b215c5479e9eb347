import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { Router } from '@angular/router';
import { schools, type School } from '#core/recipe/schools';
import { ownTimeZone } from '#core/units/day';
import { stages, type Stage } from '#core/mix/stage';
import { type Recipe } from '#core/recipe/recipe';
import { type Spreads } from '#core/spread/spreads';
import { NurseryService } from '../data/nursery';
import { Notices } from '../data/notices';
import { SchoolChoice } from '../data/school-choice';
import { SpreadChoice } from '../data/spread-choice';
import { RecipeStore } from '../bench/recipe-store';
import { FetchState } from '../ui/fetch-state';
import { ChoiceField } from '../ui/fields/choice-field';
import { NumberField } from '../ui/fields/number-field';
import { stageNames } from '../ui/words/words';

/** Spreads as people think of them: plain words, shown in percent, points or pH units. */
const spreadWords: { name: keyof Spreads; label: string; times: number }[] = [
  { name: 'scoop', label: 'How full a scoop is, ± %', times: 100 },
  { name: 'dose', label: 'How well a dose is weighed, ± %', times: 100 },
  { name: 'limeStrength', label: 'Strength of the lime, ± %', times: 100 },
  { name: 'buffer', label: 'Buffer of peat and others, ± %', times: 100 },
  { name: 'phUnits', label: 'pH of the materials, ± units', times: 1 },
  { name: 'salts', label: 'Salts and nutrients in them, ± %', times: 100 },
  { name: 'density', label: 'Weight of a litre, ± %', times: 100 },
  { name: 'particle', label: 'Size of the bits, ± %', times: 100 },
  { name: 'porosityPoints', label: 'Pores, ± points', times: 100 },
  { name: 'poreSize', label: 'Width of the pores, ± %', times: 100 },
  { name: 'shrinkagePoints', label: 'Lost in mixing, ± points', times: 100 },
  { name: 'ecFactor', label: 'EC of so much salt, ± %', times: 100 },
];

/** Every zone that the browser knows, and the one that it stands in. */
const zones = [...new Set([ownTimeZone(), 'UTC', ...Intl.supportedValuesOf('timeZone')])]
  .sort()
  .map((id) => ({ id, name: id.replaceAll('_', ' ') }));

/** Ways of working to choose from, and how far things scatter. */
@Component({
  selector: 'app-settings-page',
  host: { class: 'page' },
  imports: [ChoiceField, FetchState, NumberField],
  templateUrl: './settings-page.html',
  styleUrl: './settings-page.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class SettingsPage {
  protected readonly way = inject(SchoolChoice);
  protected readonly nursery = inject(NurseryService);
  private readonly notices = inject(Notices);
  protected readonly zones = zones;
  protected readonly scatter = inject(SpreadChoice);
  private readonly store = inject(RecipeStore);
  private readonly router = inject(Router);
  protected readonly schools = schools;
  protected readonly spreadWords = spreadWords;
  protected readonly stageNames = stageNames;

  protected mixesOf(school: School): { stage: Stage; recipe: Recipe }[] {
    return stages.flatMap((stage) => {
      const recipe = school.mixes[stage];
      return recipe ? [{ stage, recipe }] : [];
    });
  }

  protected start(school: School, recipe: Recipe): void {
    this.way.follow(school.id);
    this.store.startWith(recipe);
    void this.router.navigateByUrl('/mix');
  }

  protected countIn(zone: string): void {
    this.nursery.countIn(zone).subscribe({
      next: ({ today }) => this.notices.say(`Today is ${today} there.`),
      error: (error: Error) => this.notices.say(`Not kept: ${error.message}`),
    });
  }

  protected setSpread(name: keyof Spreads, value: number | undefined): void {
    if (value !== undefined) this.scatter.set(name, value);
  }
}
