import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { KeepingService } from '../data/keeping';
import { Notices } from '../data/notices';
import { keepingForm as texts } from '#words/en/places/weeks/keeping-form';

/** What this device kept for itself before the nursery did, offered once. */
@Component({
  selector: 'app-offered-keeping',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (service.offered(); as own) {
      <div class="remark" role="status">
        <p>{{ texts.thisDeviceHasItsOwn }}</p>
        <button type="button" class="press next" (click)="service.makeUsual(own, failed)">
          {{ texts.useThem }}
        </button>
        <button type="button" class="press quiet" (click)="service.refuseOffered()">{{ texts.no }}</button>
      </div>
    }
  `,
})
export class OfferedKeeping {
  protected readonly texts = texts;
  protected readonly service = inject(KeepingService);
  private readonly notices = inject(Notices);
  protected readonly failed = (why: string): void => this.notices.say(texts.notKept(why));
}
