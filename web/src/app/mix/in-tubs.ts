import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { RouterLink } from '@angular/router';
import { BatchesService } from '../data/batches';
import { type MixVersion } from '../data/mixes';
import { ReaderHere } from '../data/reader-here';
import { Amount } from '../ui/words/amount';
import { beginWord } from '../ui/words/tub-says';
import { inTubs as texts } from '#words/en/places/mix/in-tubs';

const MOST = 2;

/** So much of this recipe stands in tubs: it need not be mixed again. */
@Component({
  selector: 'app-in-tubs',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (tub of tubs(); track tub.id) {
      <p class="tub">
        <span
          ><b><app-amount [of]="{ volumeL: tub.leftLitres }" /></b> {{ texts.leftIn }}
          <a [routerLink]="['/batches', tub.id]">{{ tub.name }}</a>{{ tub.says }}</span
        >
        <a class="press" routerLink="/plants/new" [queryParams]="{ batch: tub.id }">{{ tub.begin }}</a>
      </p>
    }
  `,
  styles: `
    .tub {
      display: flex;
      gap: 4px 8px;
      align-items: center;
      margin: 4px 0;
    }
    .press {
      flex: none;
      margin-left: auto;
    }
  `,
  imports: [Amount, RouterLink],
})
export class InTubs {
  protected readonly texts = texts;
  readonly mix = input.required<MixVersion>();
  private readonly reader = inject(ReaderHere);
  private readonly listed = inject(BatchesService).list('no');
  protected readonly tubs = computed(() =>
    (this.listed.lines.value() ?? [])
      .filter(({ mixId, leftLitres }) => mixId === this.mix().mixId && leftLitres > 0)
      .slice(0, MOST)
      .map((tub) => ({
        ...tub,
        begin: beginWord(tub.stage),
        says: texts.fills(tub.fills, this.reader.formats().title({ id: tub.vesselId, name: tub.vessel })),
      })),
  );
}
