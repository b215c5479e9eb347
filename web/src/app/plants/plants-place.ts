import { ChangeDetectionStrategy, Component } from '@angular/core';
import { PlaceTabs } from '../ui/place-tabs';

/** What became of the mix. */
@Component({
  selector: 'app-plants-place',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'page' },
  template: `
    <h1>Plants</h1>
    <app-place-tabs label="Of the plants" [tabs]="tabs" />
  `,
  imports: [PlaceTabs],
})
export class PlantsPlace {
  protected readonly tabs = [
    { path: 'growing', name: 'Growing now' },
    { path: 'compare', name: 'Compare results' },
    { path: 'trials', name: 'Trials' },
  ];
}
