import { DatePipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { LibraryService } from '../data/library';
import { LotsService } from '../data/lots';
import { NurseryService } from '../data/nursery';
import { FetchState } from '../ui/fetch-state';
import { ChoiceField } from '../ui/fields/choice-field';
import { DayField } from '../ui/fields/day-field';
import { TextField } from '../ui/fields/text-field';
import { TypedDay } from '../ui/fields/typed-day';
import { shortName } from '../ui/words/words';

/** Purchases and heaps, newest first; each leads to where it went. */
@Component({
  selector: 'app-lot-list',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <app-fetch-state [of]="lots.all" what="the lots" />
    <ul class="rows" aria-label="Lots">
      @for (row of rows(); track row.lot.id) {
        <li>
          <a [routerLink]="['/shelf/lots', row.lot.id]">{{ row.lot.name }}</a>
          <span class="term">{{ row.of }}, came on {{ row.lot.receivedOn | date: 'd MMM y' }}</span>
        </li>
      } @empty {
        @if (lots.all.value()) {
          <li class="term">None yet: enter what stands on the bag, bale or heap.</li>
        }
      }
    </ul>
    <h2>A new lot</h2>
    <div class="fields">
      <app-choice-field label="Of what" none="choose" [choices]="items()" [(value)]="item" />
      <app-text-field label="Name on the bag, bale or heap" [(value)]="name" />
      <app-day-field label="Came on" [day]="came" />
      <button type="button" class="press" [disabled]="!ready()" (click)="add()">Keep it</button>
    </div>
    @if (problem()) {
      <p class="wrong" role="alert">{{ problem() }}</p>
    }
  `,
  styles: `
    a {
      display: inline-block;
      min-height: 26px;
      color: var(--ink);
      font-size: var(--lead);
    }
    h2 {
      margin-top: 18px;
    }
  `,
  imports: [ChoiceField, DatePipe, DayField, FetchState, RouterLink, TextField],
})
export class LotList {
  protected readonly lots = inject(LotsService);
  private readonly nursery = inject(NurseryService);
  private readonly library = inject(LibraryService).library;
  protected readonly item = signal<string | null>(null);
  protected readonly name = signal('');
  protected readonly came = new TypedDay(this.nursery.today);
  protected readonly problem = signal('');

  protected readonly items = computed(() => {
    const library = this.library();
    return [...(library?.materials.values() ?? []), ...(library?.amendments.values() ?? [])].map(
      ({ id, name }) => ({ id, name: shortName(name) }),
    );
  });
  protected readonly rows = computed(() =>
    [...(this.lots.all.value() ?? [])]
      .sort((a, b) => b.receivedOn.localeCompare(a.receivedOn) || b.id - a.id)
      .map((lot) => ({ lot, of: this.items().find((one) => one.id === lot.item)?.name ?? lot.item })),
  );
  protected readonly ready = computed(
    () => (this.item() ?? '') !== '' && this.name().trim() !== '' && this.came.problem() === '',
  );

  protected add(): void {
    const item = this.item();
    if (!this.ready() || !item) return;
    this.problem.set('');
    const lot = { item, name: this.name().trim(), receivedOn: this.came.value() };
    this.lots.add(lot).subscribe({
      next: () => this.name.set(''),
      error: (error: Error) => this.problem.set(`Not kept: ${error.message}`),
    });
  }
}
