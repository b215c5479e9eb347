import { ChangeDetectionStrategy, Component } from '@angular/core';
import { PlaceTabs } from '../ui/place-tabs';

/** All that is the user's own: what stands on the shelf and what it costs, lots, measures, instruments. */
@Component({
  selector: 'app-shelf-place',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'page' },
  template: `
    <h1>Shelf</h1>
    <app-place-tabs label="On the shelf" [tabs]="tabs" />
  `,
  imports: [PlaceTabs],
})
export class ShelfPlace {
  protected readonly tabs = [
    { path: 'materials', name: 'Materials' },
    { path: 'products', name: 'Fertilisers and lime' },
    { path: 'vessels', name: 'Vessels' },
    { path: 'lots', name: 'Deliveries and stock' },
    { path: 'money', name: 'Make or buy' },
    { path: 'measures', name: 'Measures' },
    { path: 'waters', name: 'Waters' },
    { path: 'instruments', name: 'Instruments' },
  ];
}
