import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { type Elements } from '#core/mix/salts';
import { fixed } from '#core/units/show';
import { MG_CACO3_PER_MEQ } from '#core/weeks/alkalinity';
import { acidityMeqPerMgN, coldFeed, isFeedTooCold, liquidFeed } from '#core/weeks/liquid-feed';
import { houseOn } from '#core/weeks/usual-keeping';
import { KeepingHere } from './keeping-here';
import { LibraryService } from '../data/library';
import { NurseryService } from '../data/nursery';
import { Units } from '../data/units';
import { ChoiceField } from '../ui/fields/choice-field';
import { NumberField } from '../ui/fields/number-field';
import { cautionWords } from '../ui/words/cautions';
import { shownIn } from '../ui/words/shown-in';
import { shortName } from '../ui/words/words';
import { feedMaker as texts } from '#words/en/places/weeks/feed-maker';
import { common } from '#words/en/places/common';
import { ReaderHere } from '../data/reader-here';

/** More nitrogen than so burns seedlings. Common practice, no source. */
const MOST_FOR_SEEDLINGS = 100;
const elements: readonly [keyof Elements, string][] = [
  ['n', 'nitrogen'],
  ['p', 'phosphorus'],
  ['k', 'potassium'],
  ['ca', 'calcium'],
  ['mg', 'magnesium'],
  ['s', 'sulphur'],
];

/** @param mgPerL acidity as calcium carbonate; below 0 where it limes */
function leavesSays(mgPerL: number, unit: string): string {
  if (Math.abs(mgPerL) < 1) return texts.itNeitherAcidifiesNorLimes;
  return mgPerL > 0
    ? texts.itAcidifiesWhatItLeaves(fixed(mgPerL, 0), unit)
    : texts.itLimesLikeMoreOf(fixed(-mgPerL, 0), unit);
}

/** Any product brought to the strength that the rule asks for: for a can, a tank, or an injector with its stock. */
@Component({
  selector: 'app-feed-maker',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2>{{ texts.theFeed }}</h2>
    <div class="fields">
      <app-choice-field
        [label]="common.ofWhat"
        none="choose"
        [choices]="choices()"
        [value]="keeping.now().feed"
        (valueChange)="keeping.patch({ feed: $event })"
      />
      <app-number-field
        [label]="texts.canOrTank"
        unit="L"
        within="tankLitres"
        [value]="keeping.now().tankLitres"
        (valueChange)="$event !== undefined && keeping.patch({ tankLitres: $event })"
      />
      <app-number-field
        [label]="texts.injectorOneTo1None"
        within="injector"
        [value]="keeping.now().injector"
        (valueChange)="$event !== undefined && keeping.patch({ injector: $event })"
      />
    </div>
    @if (made(); as it) {
      @if ('why' in it) {
        <p class="wrong" role="alert">{{ texts.notPossible(it.why) }}</p>
      } @else {
        <p role="status">{{ it.says }}</p>
        <p class="term">{{ it.brings }} {{ it.leaves }}</p>
        @if (it.caution) {
          <p class="remark warn">{{ it.caution }}</p>
        }
        @if (it.cold) {
          <p class="remark warn">{{ it.cold }}</p>
        }
        @if (it.strong) {
          <p class="remark warn">{{ it.strong }}</p>
        }
      }
    }
  `,
  styles: `
    :host {
      display: block;
      margin-top: 18px;
    }
    p {
      margin: 8px 0;
    }
  `,
  imports: [ChoiceField, NumberField],
})
export class FeedMaker {
  protected readonly texts = texts;
  protected readonly common = common;
  private readonly reader = inject(ReaderHere);
  protected readonly keeping = inject(KeepingHere);
  private readonly library = inject(LibraryService).library;
  private readonly units = inject(Units);
  private readonly nursery = inject(NurseryService);
  protected readonly choices = computed(() =>
    [...(this.library()?.amendments.values() ?? [])]
      .filter(({ kind, nPct }) => kind === 'salt' && nPct > 0)
      .map(({ id, name }) => ({ id, name: shortName(name) })),
  );

  protected readonly made = computed(() => {
    const now = this.keeping.now();
    const { feed, rule, injector, tankLitres } = now;
    // As warm as it is in this month.
    const { tempC } = houseOn(now, this.nursery.today());
    const product = feed === null ? undefined : this.library()?.amendments.get(feed);
    if (!product || rule.feedNMgPerL === 0) return null;
    return this.reader.attempt(() => {
      const it = liquidFeed(product, rule.feedNMgPerL, injector, tankLitres);
      const { unit } = shownIn('mg/L', this.units.system());
      const { mass, volume, name } = this.reader.formats();
      const tank = injector > 1 ? texts.ofStock : texts.ofWater;
      const cups = it.tankGrams / 1000 / product.bulkDensityGPerMl;
      return {
        says: texts.feedMade(mass(it.tankGrams), name(product), volume(cups), volume(tankLitres), tank),
        brings: texts.atThePlant(
          unit,
          elements
            .filter(([id]) => it.elementsMgPerL[id] >= 0.5)
            .map(([id, name]) => `${name} ${fixed(it.elementsMgPerL[id], 0)}`)
            .join(', '),
        ),
        leaves: leavesSays(acidityMeqPerMgN(product) * rule.feedNMgPerL * MG_CACO3_PER_MEQ, unit),
        caution: cautionWords[product.caution],
        cold: isFeedTooCold(product, tempC)
          ? texts.coldForAmmonium(product.nh4ShareOfNPct, this.reader.formats().celsius(coldFeed.belowC))
          : '',
        strong:
          rule.feedNMgPerL > MOST_FOR_SEEDLINGS ? texts.moreThanOfNitrogenIs(MOST_FOR_SEEDLINGS, unit) : '',
      };
    });
  });
}
