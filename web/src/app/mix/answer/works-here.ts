import { ChangeDetectionStrategy, Component, output, signal } from '@angular/core';
import { Fold } from '../../ui/fold';
import { TextField } from '../../ui/fields/text-field';
import { worksHere as texts } from '#words/en/places/mix/answer/works-here';

/** As many letters as a reason may have. */
const LONGEST = 200;

/** Who has grown well in it says so, and why; then it is not told again of this recipe. */
@Component({
  selector: 'app-works-here',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <details appFold #fold="appFold">
      <summary>{{ texts.iKnow }}</summary>
      @if (fold.opened()) {
        <form (submit)="say($event)">
          <app-text-field [label]="texts.whyItWorks" [(value)]="why" [problem]="problem()" />
          <button type="submit" class="press">{{ texts.doNotSayItAgain }}</button>
        </form>
      }
    </details>
  `,
  styles: `
    summary {
      color: var(--muted);
      font-size: var(--note);
    }
    form {
      display: grid;
      gap: 6px;
      justify-items: start;
      margin-top: 4px;
    }
  `,
  imports: [Fold, TextField],
})
export class WorksHere {
  protected readonly texts = texts;
  readonly said = output<string>();
  protected readonly why = signal('');
  protected readonly problem = signal('');

  protected say(event: Event): void {
    event.preventDefault();
    const why = this.why().trim();
    this.problem.set(
      why === '' ? texts.sayWhy : why.length > LONGEST ? texts.tooLong(LONGEST, why.length) : '',
    );
    if (!this.problem()) this.said.emit(why);
  }
}
