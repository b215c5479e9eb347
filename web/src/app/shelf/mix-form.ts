import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { materialOfRecipe } from '#core/recipe/mix-material';
import { type MaterialRow } from '#core/material/material';
import { LibraryService } from '../data/library';
import { MixesService } from '../data/mixes';
import { ChoiceField } from '../ui/fields/choice-field';
import { NumberField } from '../ui/fields/number-field';
import { TextField } from '../ui/fields/text-field';
import { JudgedAlone } from './judged-alone';
import { ownKeeper } from './own-keeper';
import { mixForm as texts } from '#words/en/places/shelf/mix-form';
import { common } from '#words/en/places/common';
import { ReaderHere } from '../data/reader-here';

/** A kept mix as a part of others: what it is made of, its feed and its age come along. */
@Component({
  selector: 'app-mix-form',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p class="lead">
      {{ texts.aMixOfYoursNew }}
    </p>
    <div class="fields">
      <app-choice-field [label]="common.mix" none="choose" [choices]="choices()" [(value)]="mix" />
      <app-text-field [label]="common.called" [(value)]="name" />
      <app-number-field [label]="texts.weeksSinceItWasMixed" within="mixAgeWeeks" [(value)]="weeks" />
      <app-number-field [label]="texts.stoodAt" unit="°C" within="houseC" [(value)]="celsius" />
    </div>
    @if (made(); as it) {
      @if ('why' in it) {
        <p class="wrong" role="alert">{{ texts.notPossible(it.why) }}</p>
      } @else {
        <app-judged-alone [row]="it.row" />
      }
    }
    @if (keeper.problem()) {
      <p class="wrong" role="alert">{{ keeper.problem() }}</p>
    }
    <button type="button" class="press" [disabled]="!ready()" (click)="keep()">{{ common.save }}</button>
  `,
  imports: [ChoiceField, JudgedAlone, NumberField, TextField],
})
export class MixForm {
  protected readonly texts = texts;
  protected readonly common = common;
  private readonly reader = inject(ReaderHere);
  private readonly library = inject(LibraryService);
  private readonly mixes = inject(MixesService);
  protected readonly keeper = ownKeeper();
  protected readonly mix = signal<string | null>(null);
  protected readonly name = signal('');
  protected readonly weeks = signal<number | undefined>(0);
  protected readonly celsius = signal<number | undefined>(15);

  protected readonly choices = computed(() =>
    (this.mixes.all.value() ?? []).map(({ mixId, name }) => ({ id: String(mixId), name })),
  );
  private readonly chosen = computed(() =>
    (this.mixes.all.value() ?? []).find(({ mixId }) => String(mixId) === this.mix()),
  );
  protected readonly made = computed((): { row: MaterialRow } | { why: string } | null => {
    const [library, mix] = [this.library.library(), this.chosen()];
    if (!library || !mix) return null;
    const named = { id: 'own-mix', name: this.name().trim() || mix.name };
    const age = { weeks: this.weeks() ?? 0, celsius: this.celsius() ?? 15 };
    return this.reader.attempt(() => ({ row: materialOfRecipe(mix.recipe, library, named, age) }));
  });
  protected readonly ready = computed(() => {
    const made = this.made();
    return this.name().trim() !== '' && made !== null && 'row' in made;
  });

  protected keep(): void {
    const made = this.made();
    if (!made || !('row' in made)) return;
    this.keeper.keep(null, texts.yoursOfTheMix(this.chosen()?.name ?? ''), made.row, () => {
      this.name.set('');
      this.mix.set(null);
    });
  }
}
