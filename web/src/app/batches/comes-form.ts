import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { type Dampness, dampnesses } from '#core/batch/kit';
import { isCoir } from '#core/material/families';
import { type Material } from '#core/material/material';
import { comesForm as texts } from '#words/en/places/batches/comes-form';
import { KitChoice } from '../data/kit-choice';
import { ChoiceField } from '../ui/fields/choice-field';
import { shortName } from '../ui/words/words';

const words: Record<Dampness, string> = {
  usual: texts.asUsual,
  dry: texts.boneDry,
  damp: texts.damp,
  wet: texts.wet,
  bricks: texts.bricks,
};

/** How dry each sack is today: it decides the water. */
@Component({
  selector: 'app-comes-form',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (each of asked(); track each.id) {
      <app-choice-field
        [label]="texts.comes(each.name)"
        [choices]="each.choices"
        [none]="texts.notSaid"
        [value]="choice.kit().comes?.[each.id] ?? null"
        (valueChange)="set(each.id, $event)"
      />
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: 8px;
    }
  `,
  imports: [ChoiceField],
})
export class ComesForm {
  protected readonly texts = texts;
  protected readonly choice = inject(KitChoice);
  readonly materials = input.required<readonly Material[]>();
  /** What holds water of its own: mineral parts bring next to none. */
  protected readonly asked = computed(() =>
    this.materials()
      .filter(({ make }) => make === 'organic')
      .map((material) => ({
        ...{ id: material.id, name: shortName(material.name) },
        choices: dampnesses
          // Only coir comes in more than one make: loose or pressed.
          .filter((id) => (id !== 'bricks' && id !== 'usual') || isCoir(material))
          .map((id) => ({ id, name: words[id] })),
      })),
  );

  protected set(id: string, dampness: string | null): void {
    const { [id]: _, ...others } = this.choice.kit().comes ?? {};
    this.choice.set({ comes: dampness ? { ...others, [id]: dampness as Dampness } : others });
  }
}
