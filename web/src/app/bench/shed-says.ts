import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { ReaderHere } from '../data/reader-here';
import { RouterLink } from '@angular/router';
import { litresIn } from '#core/units/factors';
import { Money } from '../data/money';
import { Units } from '../data/units';
import { InTheShed } from './in-the-shed';
import { stockAmount } from '../ui/words/stock-amount';
import { shedSays as texts } from '#words/en/places/bench/shed-says';

/** What is in the shed for this recipe, and what it costs: two lines beside the choice. */
@Component({
  selector: 'app-shed-says',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (makes(); as words) {
      <p>{{ words }}</p>
    }
    @if (short(); as words) {
      <p class="remark warn">
        {{ words }} <a routerLink="/shelf/lots">{{ texts.deliveriesAndStock }}</a>
      </p>
    }
    @if (costs(); as words) {
      <p>
        {{ words }} <a routerLink="/shelf/money">{{ texts.makeOrBuy }}</a>
      </p>
    }
  `,
  styles: `
    :host {
      display: block;
      margin: 10px 0;
      font-size: var(--note);
    }
    p {
      margin: 4px 0;
    }
    a {
      display: inline-flex;
      align-items: center;
      min-height: 32px;
      color: var(--ink);
    }
  `,
  imports: [RouterLink],
})
export class ShedSays {
  protected readonly reader = inject(ReaderHere);
  protected readonly texts = texts;
  private readonly shed = inject(InTheShed);
  private readonly units = inject(Units);
  private readonly money = inject(Money);

  private named(id: string): string {
    return this.reader.formats().name({ id, name: this.shed.nameOf(id) });
  }

  protected readonly makes = computed(() => {
    const stock = this.shed.stock();
    if (!stock) return '';
    const first = stock.endsFirst && this.named(stock.endsFirst);
    if (stock.litres !== null)
      return texts.yourStockMakesOfIt(stockAmount('material', stock.litres, this.units.system()), first);
    return '';
  });
  protected readonly short = computed(() => {
    const short = this.shed.stock()?.short ?? [];
    if (short.length === 0) return '';
    const each = short.map(({ item, by }) => {
      const amount = stockAmount(this.shed.kindOf(item), by, this.units.system());
      return texts.ofIt(amount, this.named(item));
    });
    return texts.shortForThisJob(each.join(', '));
  });
  protected readonly costs = computed(() => {
    const { perLitre, unpriced } = this.shed.bill();
    if (perLitre === 0) return '';
    const us = this.units.system() === 'us';
    const each = this.money.say(us ? perLitre * litresIn.gallon : perLitre);
    const without =
      unpriced.length === 0 ? '' : texts.without(unpriced.map((item) => this.named(item)).join(', '));
    return texts.costsAAForThe(
      each,
      us ? 'gallon' : 'litre',
      this.money.say(perLitre * this.shed.eachL()),
      this.shed.noun(),
      this.money.say(perLitre * this.shed.litres()),
      without,
    );
  });
}
