import { ChangeDetectionStrategy, Component, computed, input, output, signal } from '@angular/core';
import { type Flag, isCare, type Severity } from '#core/judge/flag';
import { type Remedy } from '#core/judge/remedies';
import { type Library } from '#core/recipe/library';
import { type Said } from '#core/units/said';
import { fixWords } from '../../ui/words/fix-words';
import { SaidPipe } from '../../ui/words/said';

const words: Record<Severity, { word: string; icon: string }> = {
  stop: { word: 'Stop', icon: 'bi-octagon-fill' },
  warn: { word: 'Watch out', icon: 'bi-exclamation-triangle-fill' },
  note: { word: 'Note', icon: 'bi-info-circle' },
};

/** What Welcome has to say about the recipe, worst first; the way out with one press where there is one. */
@Component({
  selector: 'app-flag-list',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ul aria-label="What to mind">
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
                Do that
                @if (does(flag); as what) {
                  <span class="term">{{ what | said }}</span>
                }
              </button>
            }
          </div>
        </li>
      } @empty {
        <li class="fine"><p>Nothing to mind.</p></li>
      }
    </ul>
    @if (spoken().length > first()) {
      <button
        type="button"
        class="press quiet more"
        [attr.aria-expanded]="open()"
        (click)="open.set(!open())"
      >
        {{ open() ? 'Fewer' : spoken().length - first() + ' more to mind' }}
      </button>
    }
    @if (care().length > 0) {
      <details class="care">
        <summary>Handle with care: {{ careNames() }}</summary>
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

  protected does(flag: Flag): Said | null {
    const [remedy, library] = [this.remedies()?.get(flag.code), this.library()];
    return remedy && library ? fixWords(remedy.fix, library) : null;
  }
}

const careWords: Record<string, string> = {
  dust: 'dust',
  'lime-eyes': 'lime in the eyes',
  legionella: 'compost and its germs',
  oxidiser: 'nitrate salts',
  'heat-ammonium': 'heat',
  'old-vermiculite': 'old vermiculite',
  'manure-food': 'manure and food',
  'store-open': 'storing it',
  lifting: 'lifting',
};
