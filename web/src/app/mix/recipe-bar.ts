import { inSentence } from '#words/formats';
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { WrittenPipe } from '../ui/words/written';
import { NgbDropdownModule } from '@ng-bootstrap/ng-bootstrap/dropdown';
import { type Observable } from 'rxjs';
import { MODEL, movedSince } from '#core/judge/figures';
import { partsKey } from '#core/recipe/parts-key';
import { type Recipe } from '#core/recipe/recipe';
import { fixed } from '#core/units/show';
import { keptHere } from '../data/making';
import { MixesService, type MixVersion } from '../data/mixes';
import { Notices } from '../data/notices';
import { FetchState } from '../ui/fetch-state';
import { TextField } from '../ui/fields/text-field';
import { readingWords, stageNames } from '../ui/words/words';
import { InTubs } from './in-tubs';
import { InSeason } from './in-season';
import { RecipeStore } from '../bench/recipe-store';
import { recipeBar as texts } from '#words/en/places/mix/recipe-bar';
import { common } from '#words/en/places/common';

/** Which recipe this is: open a kept one, keep this one. */
@Component({
  selector: 'app-recipe-bar',
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './recipe-bar.html',
  styleUrl: './recipe-bar.scss',
  imports: [FetchState, InSeason, InTubs, NgbDropdownModule, TextField, WrittenPipe],
})
export class RecipeBar {
  protected readonly texts = texts;
  protected readonly common = common;
  protected readonly store = inject(RecipeStore);
  private readonly mixes = inject(MixesService);
  private readonly notices = inject(Notices);
  protected readonly stageNames = stageNames;
  protected readonly all = this.mixes.all;
  protected readonly ways = [
    {
      ...{ name: common.undo, keys: 'Control+Z', icon: 'bi-arrow-counterclockwise' },
      ...{ can: this.store.canUndo, go: (): void => this.store.undo() },
    },
    {
      ...{ name: texts.redo, keys: 'Control+Shift+Z', icon: 'bi-arrow-clockwise' },
      ...{ can: this.store.canRedo, go: (): void => this.store.redo() },
    },
  ];
  protected readonly naming = signal(false);
  protected readonly name = signal('');
  protected readonly problem = signal('');
  protected readonly busy = signal(false);

  /** The parts and doses are those of the saved recipe, whatever the job. */
  protected readonly isOfIt = computed(() => {
    const opened = this.store.opened();
    return opened !== null && partsKey(this.store.recipe()) === partsKey(opened.recipe);
  });

  protected readonly title = computed(() => {
    const opened = this.store.opened();
    if (!opened) return texts.aRecipeWithoutAName;
    // Another job is no other recipe.
    return this.isOfIt() ? opened.name : texts.basedOn(opened.name);
  });

  /** What a later model gives otherwise than on the day when this was kept. */
  protected readonly moved = computed(() => {
    const [opened, outcome] = [this.store.opened(), this.store.outcome()];
    if (!opened || this.store.changed() || outcome.state !== 'computed') return '';
    const { figures } = opened;
    const moved = figures ? movedSince(figures, outcome.judgement.readings) : [];
    if (moved.length > 0) {
      const { noun } = this.store.kind();
      const all = moved.map(({ id, from, to }) => {
        const { name, places } = readingWords(id, noun);
        return `${inSentence(name)} ${fixed(from, places)} → ${fixed(to, places)}`;
      });
      return texts.recomputedSinceItWasSaved(all.join(', '));
    }
    return figures === null && MODEL > 1 ? texts.savedUnderAnEarlierModel : '';
  });

  constructor() {
    // The recipe on the bench may have waited to be kept.
    this.mixes
      .keptLater()
      .pipe(takeUntilDestroyed())
      .subscribe(({ body, made }) => {
        const { recipe } = body as { recipe: Recipe };
        if (JSON.stringify(recipe) === JSON.stringify(this.store.recipe())) this.store.keptAs(made);
        this.mixes.all.refresh();
      });
  }

  /** What the name in the form is for. */
  private purpose: 'keep' | 'rename' | 'copy' = 'keep';
  protected readonly versions = signal<readonly MixVersion[]>([]);
  protected readonly away = signal<readonly MixVersion[]>([]);

  protected ask(mix: MixVersion): void {
    this.versions.set([]);
    this.mixes.versions(mix.mixId).subscribe({
      next: (versions) => this.versions.set(versions),
      error: (error: Error) => this.notices.say(error.message),
    });
  }

  protected askAway(): void {
    this.mixes.away().subscribe({
      next: (away) => this.away.set(away),
      error: () => this.away.set([]),
    });
  }

  protected begin(purpose: 'rename' | 'copy'): void {
    this.purpose = purpose;
    this.name.set(this.store.opened()?.name ?? '');
    this.problem.set('');
    this.naming.set(true);
  }

  protected putAway({ mixId, name }: MixVersion): void {
    this.mixes.putAway(mixId).subscribe({
      next: () => {
        this.store.forgetName();
        this.notices.undoable(texts.isArchived(name), () => this.mixes.bringBack(mixId));
      },
      error: (error: Error) => this.notices.say(texts.notArchived(error.message)),
    });
  }

  protected bringBack(mix: MixVersion): void {
    this.mixes.bringBack(mix.mixId).subscribe({
      next: () => this.store.open(mix),
      error: (error: Error) => this.notices.say(texts.notRestored(error.message)),
    });
  }

  protected keep(): void {
    const opened = this.store.opened();
    if (opened) {
      this.save(this.mixes.keepVersion(opened, this.store.recipe(), this.store.why()));
      return;
    }
    this.purpose = 'keep';
    this.problem.set('');
    this.naming.set(true);
  }

  protected keepNamed(event: Event): void {
    event.preventDefault();
    const name = this.name().trim();
    if (name === '' || name.length > 80) {
      this.problem.set(texts.aNameMustHave1);
      return;
    }
    const opened = this.store.opened();
    if (this.purpose === 'rename' && opened) this.rename(opened, name);
    else this.save(this.mixes.keepNew(name, this.store.recipe()));
  }

  /** The recipe on the bench stays as it is, changed or not. */
  private rename(opened: MixVersion, name: string): void {
    this.busy.set(true);
    this.mixes.rename(opened, name).subscribe({
      next: () => {
        this.store.keptAs({ ...opened, name });
        this.naming.set(false);
        this.busy.set(false);
        this.notices.say(texts.itIsNowCalled(name));
      },
      error: (error: Error) => {
        this.busy.set(false);
        this.problem.set(error.message);
      },
    });
  }

  private save(saving: Observable<MixVersion | null>): void {
    this.busy.set(true);
    saving.subscribe({
      next: (mix) => {
        if (mix) this.store.keptAs(mix);
        this.naming.set(false);
        this.name.set('');
        this.busy.set(false);
        this.notices.say(mix ? texts.savedAsVersion(mix.name, mix.version) : keptHere(texts.thisRecipe));
      },
      error: (error: Error) => {
        this.busy.set(false);
        this.problem.set(error.message);
        this.naming.set(this.naming() || this.store.opened() === null);
        if (!this.naming()) this.notices.say(texts.notKept(error.message));
      },
    });
  }
}
