import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { addressOf } from '#contract/routes';
import { type SharedFile, type ShareLine, ShareService } from '../data/share';
import { TickField } from '../ui/fields/tick-field';
import { shareForm as texts } from '#words/en/places/settings/share-form';
import { common } from '#words/en/places/common';

const kinds: Readonly<Record<ShareLine['kind'], string>> = {
  materials: 'material',
  products: 'product',
  vessels: 'vessel',
  crops: 'crop',
  mixes: 'mix',
};
const states: Readonly<Record<ShareLine['state'], string>> = {
  new: 'new',
  same: texts.asHere,
  different: texts.hereWithOtherFiguresIt,
};
const idOf = ({ kind, at }: Pick<ShareLine, 'kind' | 'at'>): string => `${kind}/${at}`;

/** What is one's own as a file for another grower; theirs is taken after a look at what is new in it. */
@Component({
  selector: 'app-share-form',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="acts">
      <a class="press" [href]="mine" download="welcome-share.json">{{ texts.mineAsAFile }}</a>
      <label class="press">
        {{ texts.theirsFromAFile }}
        <input #file type="file" class="visually-hidden" accept=".json" (change)="read(file)" />
      </label>
    </div>
    @if (lines(); as all) {
      <ul class="rows">
        @for (each of all; track idOf(each)) {
          <li>
            @if (each.state === 'same') {
              <span
                ><b>{{ each.name }}</b></span
              >
            } @else {
              <app-tick-field [checked]="chosen().has(idOf(each))" (checkedChange)="choose(each, $event)"
                ><b>{{ each.name }}</b></app-tick-field
              >
            }
            <span class="term">{{ kinds[each.kind] }}, {{ states[each.state] }}</span>
          </li>
        } @empty {
          <li>{{ texts.thereIsNothingInThis }}</li>
        }
      </ul>
      <div class="acts">
        <button type="button" class="press next" [disabled]="busy() || chosen().size === 0" (click)="take()">
          {{ texts.addOfThem(chosen().size) }}
        </button>
        <button type="button" class="press quiet" (click)="leave()">{{ common.cancel }}</button>
      </div>
    }
    @if (done()) {
      <p role="status">{{ done() }}</p>
    }
    @if (problem()) {
      <p class="wrong" role="alert">{{ problem() }}</p>
    }
  `,
  styles: `
    .acts {
      display: flex;
      flex-wrap: wrap;
      gap: 8px;
      margin: 8px 0;
    }
    .rows li {
      display: flex;
      flex-wrap: wrap;
      gap: 0 16px;
      align-items: center;
    }
  `,
  imports: [TickField],
})
export class ShareForm {
  protected readonly texts = texts;
  protected readonly common = common;
  private readonly service = inject(ShareService);
  private share: SharedFile | null = null;
  protected readonly mine = addressOf('share', {});
  protected readonly kinds = kinds;
  protected readonly states = states;
  protected readonly idOf = idOf;
  protected readonly lines = signal<readonly ShareLine[] | null>(null);
  protected readonly chosen = signal<ReadonlySet<string>>(new Set());
  protected readonly busy = signal(false);
  protected readonly problem = signal('');
  protected readonly done = signal('');
  private readonly wanted = computed(() =>
    (this.lines() ?? []).filter((line) => this.chosen().has(idOf(line))),
  );

  protected read(input: HTMLInputElement): void {
    const file = input.files?.[0];
    input.value = '';
    if (!file) return;
    this.leave();
    this.done.set('');
    file
      .text()
      .then((text) => {
        const share = JSON.parse(text) as SharedFile;
        this.service.look(share).subscribe({
          next: (lines) => {
            this.share = share;
            this.lines.set(lines);
            this.chosen.set(new Set(lines.filter(({ state }) => state !== 'same').map(idOf)));
          },
          error: (error: Error) => this.problem.set(texts.thisFileCannotBeRead(error.message)),
        });
      })
      .catch(() => this.problem.set(texts.thisFileCannotBeRead2));
  }

  protected choose(each: ShareLine, wanted: boolean): void {
    this.chosen.update(
      (all) => new Set(wanted ? [...all, idOf(each)] : [...all].filter((id) => id !== idOf(each))),
    );
  }

  protected take(): void {
    if (!this.share) return;
    this.busy.set(true);
    this.problem.set('');
    this.service
      .take(
        this.share,
        this.wanted().map(({ kind, at }) => ({ kind, at })),
      )
      .subscribe({
        next: ({ taken }) => {
          this.leave();
          this.done.set(texts.added(taken.join(', ')));
        },
        error: (error: Error) => {
          this.busy.set(false);
          this.problem.set(texts.nothingWasTaken(error.message));
        },
      });
  }

  protected leave(): void {
    this.share = null;
    this.lines.set(null);
    this.busy.set(false);
    this.problem.set('');
  }
}
