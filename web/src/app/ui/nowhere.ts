import { ChangeDetectionStrategy, Component } from '@angular/core';
import { RouterLink } from '@angular/router';

@Component({
  selector: 'app-nowhere',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h1>There is nothing here</h1>
    <p>The address may be mistyped.</p>
    <a class="press next" routerLink="/mix">To the mix</a>
  `,
  styles: `
    :host {
      display: block;
      padding: 32px 20px;
    }
  `,
  imports: [RouterLink],
})
export class Nowhere {}
