import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { RouterLink } from '@angular/router';
import { type Judgement } from '#core/judge/judge';
import { clockOf, daysToGoneIn } from '#core/weeks/clock';
import { Living } from '#core/weeks/life';
import { keepingOf } from '#core/weeks/usual-keeping';
import { houses } from '#core/weeks/weather';
import { KeepingService } from '../../data/keeping';
import { NurseryService } from '../../data/nursery';
import { ReaderHere } from '../../data/reader-here';
import { BenchKeeping } from '../../bench/bench-keeping';
import { afterPaint } from '../../ui/after-paint';
import { lasts } from '../../ui/words/lasts';
import { keptSays } from '../../ui/words/kept-says';
import { common } from '#words/en/places/common';
import { mixClock as texts } from '#words/en/places/mix/answer/mix-clock';

const HALF = 0.5;

/** Days of the mix as the nursery keeps it, from the one clock: how fast it dries, and when it wants feed. */
@Component({
  selector: 'app-mix-clock',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (it(); as it) {
      <dl>
        <div>
          <dt>{{ texts.halfOfItsWater }}</dt>
          <dd>
            @for (each of it.dries; track each.says) {
              <span class="line"
                ><b>{{ each.takes }}</b> {{ each.says }}</span
              >
            }
            <span class="term">{{ texts.atFirstAndUnderLeaf }}</span>
          </dd>
        </div>
        <div>
          <dt>{{ texts.nitrogen }}</dt>
          <dd>{{ it.feed }}</dd>
        </div>
        <div>
          <dt>{{ texts.keptLike }}</dt>
          <dd>
            {{ it.kept }}. <a routerLink="/settings/keeping">{{ texts.change }}</a>&ngsp;
            <a routerLink="/mix/weeks">{{ common.weeksAhead }}</a>
          </dd>
        </div>
      </dl>
    }
  `,
  styleUrl: './over-time.scss',
  imports: [RouterLink],
})
export class MixClock {
  protected readonly texts = texts;
  protected readonly common = common;
  readonly judgement = input.required<Judgement>();
  private readonly keeping = inject(KeepingService);
  private readonly bench = inject(BenchKeeping);
  private readonly nursery = inject(NurseryService);
  private readonly reader = inject(ReaderHere);
  private readonly late = afterPaint(computed(() => this.judgement()));

  protected readonly it = computed(() => {
    const [judgement, things] = [this.late(), this.keeping.things()];
    if (!judgement || !things) return null;
    const usual = this.bench.now();
    const keeping = keepingOf(usual, things, { on: this.nursery.today() });
    const living = new Living(judgement.input, judgement.evaluation);
    const dries = daysToGoneIn(living, keeping, HALF);
    const { feedFrom } = clockOf(living, keeping);
    return {
      dries: houses.map((house) => ({
        says: this.reader.word(`weather.${house}`),
        takes: texts.firstLast(lasts(dries[house].first), lasts(dries[house].last)),
      })),
      feed:
        keeping.plant.leafCoverTo === 0
          ? texts.noPlant
          : feedFrom === null
            ? texts.lasts(usual.weeks)
            : texts.feedFrom(feedFrom),
      kept: keptSays(usual, this.nursery.today(), this.reader.formats(), (code) => this.reader.word(code)),
    };
  });
}
