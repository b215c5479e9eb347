import { ChangeDetectionStrategy, Component, type ElementRef, input, viewChild } from '@angular/core';
import { RouterLink, RouterLinkActive, RouterOutlet } from '@angular/router';

/** The pages of a place, one beside the other. */
@Component({
  selector: 'app-place-tabs',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <nav #box [attr.aria-label]="label()">
      @for (tab of tabs(); track tab.path) {
        <a
          [routerLink]="tab.path"
          routerLinkActive="here"
          [routerLinkActiveOptions]="{ exact: tab.path === './' }"
          ariaCurrentWhenActive="page"
          >{{ tab.name }}</a
        >
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
    @media print {
      nav {
        display: none;
      }
    }
  `,
  imports: [RouterLink, RouterLinkActive, RouterOutlet],
})
export class PlaceTabs {
  readonly label = input.required<string>();
  readonly tabs = input.required<readonly { path: string; name: string }[]>();
  private readonly box = viewChild.required<ElementRef<HTMLElement>>('box');

  /** On a phone the row of tabs is longer than the screen: the one that is open is brought into sight. */
  protected showTab(): void {
    setTimeout(() => {
      const nav = this.box().nativeElement;
      const here = nav.querySelector<HTMLElement>('.here');
      if (here) nav.scrollLeft = here.offsetLeft - nav.offsetLeft - (nav.clientWidth - here.offsetWidth) / 2;
    });
  }
}
