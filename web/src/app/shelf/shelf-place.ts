import { ChangeDetectionStrategy, Component } from '@angular/core';
import { PlaceTabs } from '../ui/place-tabs';
import { shelfPlace as texts } from '#words/en/places/shelf/shelf-place';
import { common } from '#words/en/places/common';

/** All that is the user's own: what stands on the shelf and what it costs, lots, measures, instruments. */
@Component({
  selector: 'app-shelf-place',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'page' },
  template: `
    <h1>{{ common.shelf }}</h1>
    <app-place-tabs [label]="texts.onTheShelf" [tabs]="tabs" />
  `,
  imports: [PlaceTabs],
})
export class ShelfPlace {
  protected readonly texts = texts;
  protected readonly common = common;
  protected readonly tabs = [
    { path: 'materials', name: common.materials },
    { path: 'products', name: common.fertilisersAndLime },
    { path: 'vessels', name: common.vessels },
    { path: 'lots', name: texts.deliveriesAndStock },
    { path: 'money', name: texts.makeOrBuy },
    { path: 'measures', name: texts.measures },
    { path: 'waters', name: texts.waters },
    { path: 'instruments', name: common.instruments },
  ];
}
