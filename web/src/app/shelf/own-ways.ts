import { ChangeDetectionStrategy, Component, signal } from '@angular/core';
import { Segments } from '../ui/fields/segments';
import { BagForm } from './bag-form';
import { MixForm } from './mix-form';
import { OwnMaterial } from './own-material';
import { ownWays as texts } from '#words/en/places/shelf/own-ways';

type Way = 'like' | 'bag' | 'mix';

/** The three short ways in: like another, by its bag, or a mix of one's own. */
@Component({
  selector: 'app-own-ways',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section aria-labelledby="own-ways">
      <h2 id="own-ways">{{ texts.somethingOfYourOwn }}</h2>
      <app-segments [label]="texts.howYouEnterIt" [choices]="ways" [(value)]="way" />
      @switch (way()) {
        @case ('bag') {
          <app-bag-form />
        }
        @case ('mix') {
          <app-mix-form />
        }
        @default {
          <app-own-material />
        }
      }
    </section>
  `,
  imports: [BagForm, MixForm, OwnMaterial, Segments],
})
export class OwnWays {
  protected readonly texts = texts;
  protected readonly ways: { id: Way; name: string }[] = [
    { id: 'like', name: texts.likeAnotherBut },
    { id: 'bag', name: texts.aBagOfMix },
    { id: 'mix', name: texts.aMixOfOurs },
  ];
  protected readonly way = signal<Way>('like');
}
