import { ChangeDetectionStrategy, Component } from '@angular/core';
import { PlaceTabs } from '../ui/place-tabs';
import { seasonPlace as texts } from '#words/en/places/season/season-place';
import { common } from '#words/en/places/common';

/** From the day of planting back to the day of mixing. */
@Component({
  selector: 'app-season-place',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'page' },
  template: `
    <h1>{{ common.season }}</h1>
    <app-place-tabs [label]="texts.ofTheSeason" [tabs]="tabs" />
  `,
  imports: [PlaceTabs],
})
export class SeasonPlace {
  protected readonly texts = texts;
  protected readonly common = common;
  protected readonly tabs = [
    { path: 'plan', name: texts.plan },
    { path: 'buy', name: texts.toBuy },
    { path: 'fewer', name: texts.fewerMixes },
    { path: 'crops', name: common.crops },
    { path: 'room', name: texts.frostAndBenches },
  ];
}
