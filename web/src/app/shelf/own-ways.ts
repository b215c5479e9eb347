import { ChangeDetectionStrategy, Component, signal } from '@angular/core';
import { Segments } from '../ui/fields/segments';
import { BagForm } from './bag-form';
import { MixForm } from './mix-form';
import { OwnMaterial } from './own-material';

type Way = 'like' | 'bag' | 'mix';

/** The three short ways in: like another, by its bag, or a mix of one's own. */
@Component({
  selector: 'app-own-ways',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section aria-labelledby="own-ways">
      <h2 id="own-ways">Something of your own</h2>
      <app-segments label="How it is told" [choices]="ways" [(value)]="way" />
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
  protected readonly ways: { id: Way; name: string }[] = [
    { id: 'like', name: 'Like another, but…' },
    { id: 'bag', name: 'A bag of mix' },
    { id: 'mix', name: 'A mix of ours' },
  ];
  protected readonly way = signal<Way>('like');
}
