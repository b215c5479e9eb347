import { ChangeDetectionStrategy, Component, computed, input, signal } from '@angular/core';
import { labelSizes } from '#core/batch/label-sizes';
import { NumberField } from '../ui/fields/number-field';

/** Labels of a batch, as a PDF that any printer can do. */
@Component({
  selector: 'app-label-form',
  imports: [NumberField],
  template: `
    <div class="grid">
      <div>
        <label for="label-size">Labels</label>
        <select id="label-size" class="field" (change)="size.set($any($event.target).value)">
          @for (one of sizes; track one.id) {
            <option [value]="one.id" [selected]="one.id === size()">{{ one.name }}</option>
          }
        </select>
      </div>
      <app-number-field
        label="How many"
        [value]="count()"
        [min]="1"
        [max]="500"
        [whole]="true"
        (changed)="count.set($event ?? 1)"
      />
      <div>
        <label for="label-sown">Sown on</label>
        <input
          id="label-sown"
          type="date"
          class="field"
          [value]="sown()"
          (input)="sown.set($any($event.target).value)"
        />
      </div>
    </div>
    <a class="press" [href]="address()" target="_blank" rel="noopener">Labels to print</a>
    <a class="press" [href]="'/api/batches/' + batch() + '/card.pdf'" target="_blank" rel="noopener"
      >Card as PDF</a
    >
  `,
  styles: `
    .grid {
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
      gap: 8px 14px;
      margin-bottom: 10px;
    }
    label {
      color: var(--muted);
      font-size: 14px;
    }
    .press {
      margin-right: 8px;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class LabelForm {
  readonly batch = input.required<number>();
  protected readonly sizes = labelSizes;
  protected readonly size = signal(labelSizes[0]!.id);
  protected readonly count = signal(24);
  protected readonly sown = signal('');
  protected readonly address = computed(() => {
    const query = new URLSearchParams({ size: this.size(), count: String(this.count()) });
    if (this.sown()) query.set('sown', this.sown());
    return `/api/batches/${this.batch()}/labels.pdf?${query.toString()}`;
  });
}
