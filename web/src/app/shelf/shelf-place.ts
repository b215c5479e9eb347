import { ChangeDetectionStrategy, Component, type ElementRef, viewChild } from '@angular/core';
import { RouterLink, RouterLinkActive, RouterOutlet } from '@angular/router';

/** All that is the user's own: what stands on the shelf and what it costs, lots, measures, instruments. */
@Component({
  selector: 'app-shelf-place',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'page' },
  template: `
    <h1>Shelf</h1>
    <nav #tabsBox aria-label="On the shelf">
      @for (tab of tabs; track tab.path) {
        <a [routerLink]="tab.path" routerLinkActive="here" ariaCurrentWhenActive="page">{{ tab.name }}</a>
      }
    </nav>
    <router-outlet (activate)="showTab()" />
  `,
  styles: `
    nav {
      display: flex;
      gap: 4px;
      margin: 6px 0 12px;
      border-bottom: 1px solid var(--hairline);
      overflow-x: auto;
    }
    a {
      display: flex;
      align-items: center;
      min-height: 44px;
      padding: 0 12px;
      border-bottom: 4px solid transparent;
      color: var(--muted);
      text-decoration: none;
      white-space: nowrap;
    }
    .here {
      border-bottom-color: var(--ink);
      color: var(--ink);
      font-weight: 650;
    }
  `,
  imports: [RouterLink, RouterLinkActive, RouterOutlet],
})
export class ShelfPlace {
  private readonly box = viewChild.required<ElementRef<HTMLElement>>('tabsBox');

  /** On a phone the row of tabs is longer than the screen: the one that is open is brought into sight. */
  protected showTab(): void {
    setTimeout(() => {
      const nav = this.box().nativeElement;
      const here = nav.querySelector<HTMLElement>('.here');
      if (here) nav.scrollLeft = here.offsetLeft - nav.offsetLeft - (nav.clientWidth - here.offsetWidth) / 2;
    });
  }

  protected readonly tabs = [
    { path: 'materials', name: 'Materials' },
    { path: 'products', name: 'Feeds and limes' },
    { path: 'vessels', name: 'Vessels' },
    { path: 'lots', name: 'Lots and stock' },
    { path: 'money', name: 'Make or buy' },
    { path: 'measures', name: 'Measures' },
    { path: 'instruments', name: 'Instruments' },
  ];
}
