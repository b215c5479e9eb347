import { ChangeDetectionStrategy, Component } from '@angular/core';
import { PlaceTabs } from '../ui/place-tabs';
import { plantsPlace as texts } from '#words/en/places/plants/plants-place';
import { common } from '#words/en/places/common';

/** What became of the mix. */
@Component({
  selector: 'app-plants-place',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'page' },
  template: `
    <h1>{{ common.plants }}</h1>
    <app-place-tabs [label]="texts.ofThePlants" [tabs]="tabs" />
  `,
  imports: [PlaceTabs],
})
export class PlantsPlace {
  protected readonly texts = texts;
  protected readonly common = common;
  protected readonly tabs = [
    { path: 'growing', name: texts.growingNow },
    { path: 'compare', name: texts.compareResults },
    { path: 'trials', name: texts.trials },
  ];
}
