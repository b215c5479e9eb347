import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { KeepingService } from '../data/keeping';
import { FetchState } from '../ui/fetch-state';
import { KeepingForm } from './keeping-form';
import { OfferedKeeping } from './offered-keeping';
import { KeepingHere } from './keeping-here';
import { PouredWater } from './poured-water';
import { keepingForm as texts } from '#words/en/places/weeks/keeping-form';

/** How the nursery usually keeps what it fills: every day that any screen tells hangs on it. */
@Component({
  selector: 'app-keeping-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  providers: [KeepingHere, PouredWater],
  host: { class: 'page' },
  template: `
    <h1>{{ texts.usualCare }}</h1>
    <p class="lead">{{ texts.everyDayHangsOnIt }}</p>
    <app-fetch-state [of]="service.answer" [what]="texts.usualCare" />
    <app-offered-keeping />
    @if (service.answer.value()) {
      <app-keeping-form />
    }
  `,
  styles: `
    app-keeping-form {
      max-width: 640px;
    }
  `,
  imports: [FetchState, KeepingForm, OfferedKeeping],
})
export class KeepingPage {
  protected readonly texts = texts;
  protected readonly service = inject(KeepingService);
  protected readonly keeping = inject(KeepingHere);

  constructor() {
    this.keeping.turnTo({ whose: 'nursery' });
  }
}
