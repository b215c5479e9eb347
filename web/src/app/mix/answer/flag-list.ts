import { ChangeDetectionStrategy, Component, computed, input, output, signal } from '@angular/core';
import { type Flag, type Severity } from '#core/judge/flag';
import { type Fix } from '#core/recipe/fix';
import { SaidPipe } from '../../ui/words/said';

const words: Record<Severity, { word: string; icon: string }> = {
  stop: { word: 'Stop', icon: 'bi-octagon-fill' },
  warn: { word: 'Mind', icon: 'bi-exclamation-triangle-fill' },
  note: { word: 'Note', icon: 'bi-info-circle' },
};

/** What Welcome has to say about the recipe, worst first; the way out with one press where there is one. */
@Component({
  selector: 'app-flag-list',
  imports: [SaidPipe],
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
            @if (flag.fix; as fix) {
              <button type="button" class="press" (click)="fixed.emit(fix)">Do that</button>
            }
          </div>
        </li>
      } @empty {
        <li class="fine"><p>Nothing to mind.</p></li>
      }
    </ul>
    @if (flags().length > first()) {
      <button
        type="button"
        class="press quiet more"
        [attr.aria-expanded]="open()"
        (click)="open.set(!open())"
      >
        {{ open() ? 'Fewer' : flags().length - first() + ' more to mind' }}
      </button>
    }
  `,
  styleUrl: './flag-list.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class FlagList {
  readonly flags = input.required<readonly Flag[]>();
  /** How many stand open before "more" is pressed. */
  readonly first = input(2);
  readonly fixed = output<Fix>();
  protected readonly words = words;
  protected readonly open = signal(false);
  protected readonly shown = computed(() =>
    this.open() ? this.flags() : this.flags().slice(0, this.first()),
  );
}
