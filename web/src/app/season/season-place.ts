import { ChangeDetectionStrategy, Component } from '@angular/core';
import { PlaceTabs } from '../ui/place-tabs';

/** From the day of planting back to the day of mixing. */
@Component({
  selector: 'app-season-place',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'page' },
  template: `
    <h1>Season</h1>
    <app-place-tabs label="Of the season" [tabs]="tabs" />
  `,
  imports: [PlaceTabs],
})
export class SeasonPlace {
  protected readonly tabs = [
    { path: 'plan', name: 'Plan' },
    { path: 'buy', name: 'To buy' },
    { path: 'fewer', name: 'Fewer mixes' },
    { path: 'crops', name: 'Crops' },
    { path: 'room', name: 'Frost and benches' },
  ];
}
