import { ChangeDetectionStrategy, Component, inject, input, output, signal } from '@angular/core';
import { type TableName, type Taken } from '#contract/tables';
import { LibraryService } from '../data/library';
import { LotsService } from '../data/lots';
import { Notices } from '../data/notices';
import { SeasonService } from '../data/season';
import { tableFiles as texts } from '#words/en/places/ui/table-files';

/** A table out as a file, and in again: first what would come of it, then all of it or nothing. */
@Component({
  selector: 'app-table-files',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <details>
      <summary>{{ texts.asAFile(names[table()] ?? texts.thisTable) }}</summary>
      <div class="acts">
        <button type="button" class="press" (click)="save()">{{ texts.saveAsCsv }}</button>
        <label class="press">
          {{ texts.importACsv }}
          <input #file type="file" class="visually-hidden" accept=".csv,text/csv" (change)="read(file)" />
        </label>
      </div>
      <p class="term">
        {{ texts.unitsAreInTheHeader(stays()) }}
      </p>
      @if (seen(); as it) {
        <p role="status">{{ words(it) }}</p>
        @if (it.added.length + it.changed.length > 0) {
          <button type="button" class="press" (click)="take()">{{ texts.importIt }}</button>
        }
      }
      @if (problem()) {
        <p class="wrong" role="alert">{{ problem() }}</p>
      }
    </details>
  `,
  styles: `
    .acts {
      display: flex;
      flex-wrap: wrap;
      gap: 8px;
    }
    .press:focus-within {
      outline: 3px solid var(--ink);
      outline-offset: 2px;
    }
  `,
})
export class TableFiles {
  protected readonly texts = texts;
  readonly table = input.required<TableName>();
  private readonly library = inject(LibraryService);
  private readonly lots = inject(LotsService);
  private readonly season = inject(SeasonService);
  private readonly notices = inject(Notices);
  private csv = '';
  protected readonly names: Partial<Record<TableName, string>> = {
    plantings: texts.whatWasSownStruckAnd,
    'plant-events': texts.whatHappenedToThem,
  };
  /** Told when rows were taken. */
  readonly taken = output<void>();
  protected readonly seen = signal<Taken | null>(null);
  protected readonly problem = signal('');

  protected stays(): string {
    return this.names[this.table()] ? texts.whatIsThereStaysAs : texts.yourOwnAreChangedWhat;
  }

  protected save(): void {
    this.library.tableOut(this.table()).subscribe({
      next: ({ file, csv }) => {
        const link = document.createElement('a');
        link.href = URL.createObjectURL(new Blob([csv], { type: 'text/csv;charset=utf-8' }));
        link.download = file;
        link.click();
        URL.revokeObjectURL(link.href);
      },
      error: (error: Error) => this.problem.set(texts.notSaved(error.message)),
    });
  }

  protected read(file: HTMLInputElement): void {
    this.problem.set('');
    this.seen.set(null);
    void file.files?.[0]?.text().then((csv) => {
      this.csv = csv;
      file.value = '';
      this.send(true, (taken) => this.seen.set(taken));
    });
  }

  protected take(): void {
    this.send(false, (taken) => {
      this.seen.set(null);
      this.notices.say(texts.addedChanged(taken.added.length, taken.changed.length));
      this.lots.all.refresh();
      this.lots.stock.refresh();
      this.season.crops.refresh();
      this.season.plan.refresh();
      this.taken.emit();
    });
  }

  protected words({ rows, added, changed, same }: Taken): string {
    return texts.newChangedAsTheyAre(rows, added.length, changed.length, same);
  }

  private send(dry: boolean, done: (taken: Taken) => void): void {
    this.library.tableIn(this.table(), this.csv, dry).subscribe({
      next: done,
      error: (error: Error) => this.problem.set(texts.nothingWasTaken(error.message)),
    });
  }
}
