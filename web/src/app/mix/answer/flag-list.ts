import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import { type Flag, isCare, type Severity } from '#core/judge/flag';
import { type Remedy } from '#core/judge/remedies';
import { type Library } from '#core/recipe/library';
import { fixWords } from '../../ui/words/fix-words';
import { SaidPipe } from '../../ui/words/said';
import { flagList as texts } from '#words/en/places/mix/answer/flag-list';
import { common } from '#words/en/places/common';
import { ReaderHere } from '../../data/reader-here';

const words: Record<Severity, { word: string; icon: string }> = {
  stop: { word: common.stop, icon: 'bi-octagon-fill' },
  warn: { word: texts.watchOut, icon: 'bi-exclamation-triangle-fill' },
  note: { word: texts.note, icon: 'bi-info-circle' },
};

/** What Welcome has to say about the recipe, worst first; the way out with one press where there is one. */
@Component({
  selector: 'app-flag-list',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ul [attr.aria-label]="texts.whatToMind">
      @for (flag of shown(); track flag.code) {
        <li [class]="flag.severity">
          <p>
            <b
              ><i class="bi" [class]="words[flag.severity].icon" aria-hidden="true"></i>
              {{ words[flag.severity].word }}:</b
            >
            {{ flag.text | said }}
          </p>
          <div class="out">
            <p>{{ flag.remedy | said }}</p>
            @if (pressable(flag)) {
              <button type="button" class="press" (click)="fixed.emit(flag)">
                {{ texts.doThat }}
                @if (does(flag); as what) {
                  <span class="term">{{ what }}</span>
                }
              </button>
            }
          </div>
        </li>
      } @empty {
        <li class="fine">
          <p>{{ texts.nothingToMind }}</p>
        </li>
      }
    </ul>
    @if (spoken().length > first()) {
      <button
        type="button"
        class="press quiet more"
        [attr.aria-expanded]="open()"
        (click)="open.set(!open())"
      >
        {{ open() ? texts.fewer : spoken().length - first() + texts.moreToWatch }}
      </button>
    }
    @if (care().length > 0) {
      <details class="care">
        <summary>{{ texts.handleWithCare(careNames()) }}</summary>
        <ul>
          @for (flag of care(); track flag.code) {
            <li>
              <p>{{ flag.text | said }} {{ flag.remedy | said }}</p>
            </li>
          }
        </ul>
      </details>
    }
  `,
  styleUrl: './flag-list.scss',
  imports: [SaidPipe],
})
export class FlagList {
  protected readonly texts = texts;
  private readonly reader = inject(ReaderHere);
  readonly flags = input.required<readonly Flag[]>();
  /** What the press of each flag would do, once it is worked out; null meanwhile. */
  readonly remedies = input<ReadonlyMap<string, Remedy | null> | null>(null);
  readonly library = input<Library | null>(null);
  /** How many stand open before "more" is pressed. */
  readonly first = input(3);
  readonly fixed = output<Flag>();
  protected readonly words = words;
  protected readonly open = signal(false);
  /** All but the reminders of care, worst first. */
  protected readonly spoken = computed(() => this.flags().filter((flag) => !isCare(flag)));
  protected readonly care = computed(() => this.flags().filter(isCare));
  protected readonly careNames = computed(() =>
    this.care()
      .map((flag) => careWords[flag.code] ?? flag.code)
      .join(', '),
  );
  protected readonly shown = computed(() =>
    this.open() ? this.spoken() : this.spoken().slice(0, this.first()),
  );

  /** Offered until it is known that no press helps. */
  protected pressable(flag: Flag): boolean {
    return flag.fix !== undefined && this.remedies()?.get(flag.code) !== null;
  }

  protected does(flag: Flag): string | null {
    const [remedy, library] = [this.remedies()?.get(flag.code), this.library()];
    return remedy && library ? fixWords(remedy.fix, library, this.reader.formats()) : null;
  }
}

const careWords: Record<string, string> = {
  dust: 'dust',
  'lime-eyes': texts.limeInTheEyes,
  legionella: texts.compostAndItsGerms,
  oxidiser: texts.nitrateSalts,
  'heat-ammonium': 'heat',
  'old-vermiculite': texts.oldVermiculite,
  'manure-food': texts.manureAndFood,
  'store-open': texts.storingIt,
  lifting: 'lifting',
};
