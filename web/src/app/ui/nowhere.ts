import { ChangeDetectionStrategy, Component } from '@angular/core';
import { RouterLink } from '@angular/router';
import { nowhere as texts } from '#words/en/places/ui/nowhere';

@Component({
  selector: 'app-nowhere',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h1>{{ texts.thereIsNothingHere }}</h1>
    <p>{{ texts.theAddressMayBeMistyped }}</p>
    <a class="press next" routerLink="/mix">{{ texts.toTheMix }}</a>
  `,
  styles: `
    :host {
      display: block;
      padding: 32px 20px;
    }
  `,
  imports: [RouterLink],
})
export class Nowhere {
  protected readonly texts = texts;
}
