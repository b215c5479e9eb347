import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { type ApproachId, approaches, type Approach } from '#core/recipe/approaches';
import { ownTimeZone } from '#core/units/day';
import { stages, type Stage } from '#core/mix/stage';
import { type Recipe } from '#core/recipe/recipe';
import { type Spreads } from '#core/spread/spreads';
import { NurseryService } from '../data/nursery';
import { Notices } from '../data/notices';
import { ApproachChoice } from '../data/approach-choice';
import { SpreadChoice } from '../data/spread-choice';
import { RecipeStore } from '../bench/recipe-store';
import { FetchState } from '../ui/fetch-state';
import { ChoiceField } from '../ui/fields/choice-field';
import { BackupsForm } from './backups-form';
import { Reach } from '../data/reach';
import { DevicesForm } from './devices-form';
import { ShareForm } from './share-form';
import { OwnWindowsForm } from './own-windows';
import { type Asked, NumberList } from '../ui/fields/number-list';
import { TextField } from '../ui/fields/text-field';
import { Money } from '../data/money';
import { stageNames } from '../ui/words/words';
import { settingsPage as texts } from '#words/en/places/settings/settings-page';
import { common } from '#words/en/places/common';
import { ReaderHere } from '../data/reader-here';

/** Spreads as people think of them: plain words, shown in percent, points or pH units. */
const spreadWords: Asked<keyof Spreads>[] = (
  [
    ['scoop', texts.howFullAScoopIs, 'share'],
    ['dose', texts.howWellADoseIs, 'share'],
    ['limeStrength', texts.strengthOfTheLime, 'share'],
    ['buffer', texts.bufferOfPeatAndOthers, 'share'],
    ['phUnits', texts.phOfTheMaterialsUnits, ''],
    ['salts', texts.saltsAndNutrientsInThem, 'share'],
    ['density', texts.weightByVolume, 'share'],
    ['particle', texts.sizeOfTheBits, 'share'],
    ['porosityPoints', texts.poresPoints, 'share'],
    ['poreSize', texts.widthOfThePores, 'share'],
    ['airEntry', texts.suctionAtWhichPoresEmpty, 'share'],
    ['firmingPoints', texts.firmingByHandPoints, 'share'],
    ['firmingExponent', texts.howPressingNarrowsPoresIn, ''],
    ['carbonate', texts.freeLimeInComposts, 'share'],
    ['shrinkagePoints', texts.lostInMixingPoints, 'share'],
    ['ecFactor', texts.ecOfAGivenSalt, 'share'],
  ] as const
).map(([name, label, unit]) => ({
  name,
  label,
  unit,
  within: name === 'firmingExponent' ? ('exponentSpread' as const) : ('spread' as const),
}));

/** Every zone that the browser knows, and the one that it stands in. */
const zones = [...new Set([ownTimeZone(), 'UTC', ...Intl.supportedValuesOf('timeZone')])]
  .sort()
  .map((id) => ({ id, name: id.replaceAll('_', ' ') }));

/** Ways of working to choose from, and how far things scatter. */
@Component({
  selector: 'app-settings-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'page' },
  templateUrl: './settings-page.html',
  styleUrl: './settings-page.scss',
  imports: [
    BackupsForm,
    ChoiceField,
    DevicesForm,
    FetchState,
    NumberList,
    OwnWindowsForm,
    RouterLink,
    ShareForm,
    TextField,
  ],
})
export class SettingsPage {
  protected readonly texts = texts;
  protected readonly common = common;
  private readonly reader = inject(ReaderHere);
  protected readonly reach = inject(Reach);
  /** Not on a device that came in from the network. */
  protected readonly atTheMachine = ['localhost', '127.0.0.1', '[::1]'].includes(location.hostname);
  protected readonly way = inject(ApproachChoice);
  protected readonly money = inject(Money);
  protected readonly nursery = inject(NurseryService);
  private readonly notices = inject(Notices);
  protected readonly zones = zones;
  protected readonly scatter = inject(SpreadChoice);
  private readonly store = inject(RecipeStore);
  private readonly router = inject(Router);
  protected readonly approaches = approaches;

  protected says(id: ApproachId, part: 'name' | 'says' | 'goodAt' | 'costs' | 'risks'): string {
    return this.reader.word(`approach.${id}.${part}`);
  }

  /** Chosen, and not yet said yes to. */
  protected readonly asked = signal<ApproachId | null>(null);

  /** What is another once it is followed: from what a recipe starts, and what is said loudly. */
  protected whatChanges({ id, mixes, loudness }: Approach): string {
    const starts = stages
      .filter((stage) => mixes[stage])
      .map((stage) => stageNames[stage].name.toLowerCase());
    return texts.changesTo(
      this.says(id, 'name'),
      this.reader.formats().list(starts),
      Object.keys(loudness).length,
    );
  }

  protected follow(id: ApproachId): void {
    this.way.follow(id);
    this.asked.set(null);
    this.notices.say(texts.nowWorkBy(this.says(id, 'name')));
  }

  protected stay(): void {
    this.asked.set(null);
  }

  protected readonly spreadWords = spreadWords;
  protected readonly stageNames = stageNames;

  protected mixesOf(school: Approach): { stage: Stage; recipe: Recipe }[] {
    return stages.flatMap((stage) => {
      const recipe = school.mixes[stage];
      return recipe ? [{ stage, recipe }] : [];
    });
  }

  protected start(school: Approach, recipe: Recipe): void {
    // Opening is opening: the approach is chosen above.
    this.store.startWith(recipe);
    const mine = this.way.approach().id;
    void this.router.navigateByUrl('/mix').then(() => {
      if (mine !== school.id) this.notices.say(texts.yourApproachStays(this.says(mine, 'name')));
    });
  }

  protected countIn(zone: string): void {
    this.nursery.countIn(zone).subscribe({
      next: ({ today }) => this.notices.say(texts.todayIsThere(today)),
      error: (error: Error) => this.notices.say(texts.notKept(error.message)),
    });
  }

  protected setSpread([name, value]: [keyof Spreads, number | undefined]): void {
    if (value !== undefined) this.scatter.set(name, value);
  }
}
