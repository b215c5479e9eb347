import { inject, Injectable } from '@angular/core';
import { Title } from '@angular/platform-browser';
import { type RouterStateSnapshot, TitleStrategy } from '@angular/router';
import { placeTitle as texts } from '#words/en/places/place-title';

/** "Mix · Welcome". */
@Injectable({ providedIn: 'root' })
export class PlaceTitle extends TitleStrategy {
  private readonly title = inject(Title);

  override updateTitle(snapshot: RouterStateSnapshot): void {
    const place = this.buildTitle(snapshot);
    this.title.setTitle(place ? `${place} · Welcome` : texts.welcome);
  }
}
