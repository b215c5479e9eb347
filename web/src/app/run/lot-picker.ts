import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { type Lot } from '#contract/lots';
import { LotsService } from '../data/lots';
import { NurseryService } from '../data/nursery';
import { Notices } from '../data/notices';
import { FetchState } from '../ui/fetch-state';
import { ChoiceField, type Choice } from '../ui/fields/choice-field';
import { TextField } from '../ui/fields/text-field';
import { RunState } from './run-state';

/** Which lot each part came from; a new one is entered here. */
@Component({
  selector: 'app-lot-picker',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <app-fetch-state [of]="lots.all" what="the lots" />
    <ul class="plain">
      @for (item of run.items(); track item.id) {
        <li>
          <app-choice-field
            none="not told"
            [label]="item.name"
            [choices]="choices(item.lots)"
            [value]="item.chosen === null ? null : '' + item.chosen"
            (valueChange)="setLot(item.id, $event!)"
          />
          @if (item.chosen !== null) {
            <a [routerLink]="['/shelf/lots', item.chosen]">where it went</a>
          }
        </li>
      }
    </ul>
    <details>
      <summary>A new lot</summary>
      <app-text-field label="Name on the bag, bale or heap" [(value)]="name" />
      <div class="acts">
        @for (item of run.items(); track item.id) {
          <button type="button" class="press" [disabled]="name().trim() === ''" (click)="add(item.id)">
            of {{ item.name.toLowerCase() }}
          </button>
        }
      </div>
    </details>
  `,
  styles: `
    li {
      padding: 4px 0;
    }
    a {
      font-size: var(--note);
    }
    .acts {
      display: flex;
      flex-wrap: wrap;
      gap: 8px;
      margin: 6px 0;
    }
  `,
  imports: [ChoiceField, FetchState, RouterLink, TextField],
})
export class LotPicker {
  protected readonly run = inject(RunState);
  protected readonly lots = inject(LotsService);
  private readonly nursery = inject(NurseryService);
  private readonly notices = inject(Notices);
  protected readonly name = signal('');

  protected choices(lots: readonly Lot[]): Choice[] {
    return lots.map((lot) => ({ id: String(lot.id), name: lot.name }));
  }

  protected setLot(item: string, lot: string): void {
    if (lot !== '') this.run.enter({ kind: 'lot', item, lot: Number(lot) });
  }

  protected add(item: string): void {
    const name = this.name().trim();
    if (name === '') return;
    this.lots.add({ item, name, receivedOn: this.nursery.today() }).subscribe({
      next: (lot) => {
        this.name.set('');
        this.run.enter({ kind: 'lot', item, lot: lot.id });
      },
      error: (error: Error) => this.notices.say(`Not kept: ${error.message}`),
    });
  }
}
