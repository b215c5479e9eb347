import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core';
import { ReaderHere } from '../data/reader-here';
import { RouterLink } from '@angular/router';
import { type Lot } from '#contract/lots';
import { LotsService } from '../data/lots';
import { NurseryService } from '../data/nursery';
import { Notices } from '../data/notices';
import { Units } from '../data/units';
import { FetchState } from '../ui/fetch-state';
import { ChoiceField, type Choice } from '../ui/fields/choice-field';
import { NumberField } from '../ui/fields/number-field';
import { TextField } from '../ui/fields/text-field';
import { stockAmount } from '../ui/words/stock-amount';
import { type RunItem, RunState } from './run-state';
import { lotPicker as texts } from '#words/en/places/run/lot-picker';
import { common } from '#words/en/places/common';
import { DayPipe } from '../ui/words/day';

/** Which lot each part came from, and how much of it; a new one is entered here. */
@Component({
  selector: 'app-lot-picker',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <app-fetch-state [of]="lots.all" [what]="texts.theLots" />
    <ul class="plain">
      @for (item of run.items(); track item.id) {
        <li>
          <app-choice-field
            [none]="common.notTold"
            [label]="item.name + ', ' + amount(item, item.planned)"
            [choices]="choices(item.lots)"
            [value]="item.chosen === null ? null : '' + item.chosen"
            (valueChange)="setLot(item, $event!)"
          />
          @if (lotOf(item); as lot) {
            <p class="term">
              <a [routerLink]="['/shelf/lots', lot.id]">{{ leftWords(lot) }}</a>
            </p>
            @if (lot.readyOn && lot.readyOn > nursery.today()) {
              <p class="remark warn">{{ texts.doNotUseBefore(lot.readyOn | day) }}</p>
            }
            @if ((lot.left ?? 0) < 0) {
              <p class="remark warn">
                {{ texts.moreWasTakenOfIt }}
              </p>
            }
            @if (others(item).length > 0) {
              <details>
                <summary>{{ texts.anotherAmountOrTwoLots }}</summary>
                <div class="two">
                  <app-number-field
                    [label]="texts.ofThisOne"
                    within="stock"
                    [unit]="item.product ? 'kg' : 'L'"
                    [value]="item.amount ?? item.planned"
                    (valueChange)="split(item, $event, item.rest)"
                  />
                  <app-choice-field
                    [label]="texts.theRestOf"
                    [none]="texts.noOther"
                    [choices]="choices(others(item))"
                    [value]="item.rest === null ? null : '' + item.rest"
                    (valueChange)="split(item, item.amount ?? undefined, $event ? +$event : null)"
                  />
                </div>
              </details>
            }
          }
        </li>
      }
    </ul>
    <details>
      <summary>{{ texts.aNewLot }}</summary>
      <app-text-field [label]="texts.nameOnTheBagBale" [(value)]="name" />
      <div class="acts">
        @for (item of run.items(); track item.id) {
          <button type="button" class="press" [disabled]="name().trim() === ''" (click)="add(item.id)">
            {{ texts.ofIt(reader.formats().name(item)) }}
          </button>
        }
      </div>
      <p class="term">
        {{ texts.howMuchCameIsAsked }} <a routerLink="/shelf/lots">{{ common.shelf }}</a>.
      </p>
    </details>
  `,
  styles: `
    li {
      padding: 4px 0;
    }
    a {
      color: var(--ink);
    }
    .acts {
      display: flex;
      flex-wrap: wrap;
      gap: 8px;
      margin: 6px 0;
    }
    .two {
      display: grid;
      grid-template-columns: 130px minmax(0, 1fr);
      gap: 8px 12px;
      align-items: end;
      padding-bottom: 8px;
    }
    p.term {
      margin: 2px 0;
    }
  `,
  imports: [DayPipe, ChoiceField, FetchState, NumberField, RouterLink, TextField],
})
export class LotPicker {
  protected readonly reader = inject(ReaderHere);
  protected readonly texts = texts;
  protected readonly common = common;
  protected readonly run = inject(RunState);
  protected readonly lots = inject(LotsService);
  protected readonly nursery = inject(NurseryService);
  private readonly notices = inject(Notices);
  private readonly units = inject(Units);
  protected readonly name = signal('');

  protected choices(lots: readonly Lot[]): Choice[] {
    return lots.map((lot) => ({
      id: String(lot.id),
      name: lot.left === null ? lot.name : texts.left(lot.name, this.of(lot)),
    }));
  }

  protected lotOf(item: RunItem): Lot | null {
    return item.lots.find(({ id }) => id === item.chosen) ?? null;
  }

  protected others(item: RunItem): readonly Lot[] {
    return item.lots.filter(({ id }) => id !== item.chosen);
  }

  protected amount({ product }: RunItem, amount: number): string {
    return stockAmount(product ? 'product' : 'material', amount, this.units.system());
  }

  protected leftWords(lot: Lot): string {
    return lot.left === null ? texts.whereItWentNotCounted : texts.left2(this.of(lot));
  }

  protected setLot({ id: item }: RunItem, lot: string): void {
    if (lot !== '') this.enter(item, Number(lot));
  }

  protected split(item: RunItem, amount: number | undefined, rest: number | null): void {
    if (item.chosen === null) return;
    const part = amount ?? item.amount ?? undefined;
    // All of it of one lot leaves no rest.
    const left = rest !== null && part !== undefined && part < item.planned ? rest : null;
    this.enter(item.id, item.chosen, part, left);
  }

  protected add(item: string): void {
    const name = this.name().trim();
    if (name === '') return;
    this.lots.add({ item, name, receivedOn: this.nursery.today() }).subscribe({
      next: (lot) => {
        this.name.set('');
        this.enter(item, lot.id);
      },
      error: (error: Error) => this.notices.say(texts.notKept(error.message)),
    });
  }

  private enter(item: string, lot: number, amount?: number, rest: number | null = null): void {
    this.run.enter({
      ...{ kind: 'lot', item, lot },
      ...(amount !== undefined && { amount }),
      ...(rest !== null && { rest }),
    });
  }

  private of(lot: Lot): string {
    return stockAmount(lot.kind, Math.max(0, lot.left ?? 0), this.units.system());
  }
}
