import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { RouterLink } from '@angular/router';
import { type UsualKeeping } from '#core/weeks/usual-keeping';
import { KeepingService } from '../data/keeping';
import { NurseryService } from '../data/nursery';
import { ReaderHere } from '../data/reader-here';
import { keptSays } from './words/kept-says';
import { keptLine as texts } from '#words/en/places/ui/kept-line';

/** How it is kept what days are told of, and the way to change that. */
@Component({
  selector: 'app-kept-line',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (says(); as it) {
      {{ it }}
      <a
        [routerLink]="planting() && own() ? '/mix/weeks' : '/settings/keeping'"
        [queryParams]="planting() && own() ? { planting: planting() } : {}"
        >{{ texts.change }}</a
      >
    }
  `,
  imports: [RouterLink],
})
export class KeptLine {
  protected readonly texts = texts;
  /** Of one planting or recipe that is kept otherwise. */
  readonly own = input<UsualKeeping | null>(null);
  readonly planting = input<number | null>(null);
  private readonly keeping = inject(KeepingService);
  private readonly nursery = inject(NurseryService);
  private readonly reader = inject(ReaderHere);
  protected readonly says = computed(() => {
    const own = this.own();
    if (!own && !this.keeping.answer.value()) return '';
    const says = keptSays(own ?? this.keeping.usual(), this.nursery.today(), this.reader.formats(), (code) =>
      this.reader.word(code),
    );
    return own ? texts.keptOtherwise(says) : texts.keptAsUsual(says);
  });
}
