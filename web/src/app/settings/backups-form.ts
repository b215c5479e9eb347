import { DatePipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { countsSay, missingIn } from '#contract/backup-words';
import { addressOf } from '#contract/routes';
import { type Backup, type BackupCounts, BackupsService } from '../data/backups';
import { Doing } from '../ui/doing';
import { FetchState } from '../ui/fetch-state';
import { TextField } from '../ui/fields/text-field';

const whys: Readonly<Record<Backup['why'], string>> = {
  daily: 'daily',
  asked: 'asked for',
  brought: 'brought from elsewhere',
};
/** Backups: made now, fetched as a file, copied to a second place, put back after a look at what would be lost. */
@Component({
  selector: 'app-backups-form',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <app-fetch-state [of]="service.all" what="the backups" />
    @if (service.all.value(); as it) {
      <p role="status">
        @if (it.list[0]; as newest) {
          The newest is of {{ newest.at | date: 'd MMM y, HH:mm' }}, {{ size(newest.bytes) }}.
        } @else {
          There is none yet.
        }
      </p>
      @if (it.problem || it.secondProblem) {
        <p class="wrong" role="alert">
          {{ it.problem || 'The second place does not have the newest: ' + it.secondProblem }}
        </p>
      }
      <div class="acts">
        <button type="button" class="press" [disabled]="doing.busy()" (click)="make()">Back up now</button>
        <a class="press" [href]="archive" download>Everything as an open archive</a>
        <label class="press">
          Import a file…
          <input
            #file
            type="file"
            class="visually-hidden"
            accept=".sqlite,.zip"
            [disabled]="doing.busy()"
            (change)="bring(file)"
          />
        </label>
      </div>
      <p class="term">
        The archive holds every record as lines of JSON, and the pictures: any program can read it. A backup
        or an archive that you bring is checked and laid here; nothing is put back before you say so.
      </p>
      <ul class="rows">
        @for (one of it.list; track one.name) {
          <li>
            <span>
              <b>{{ one.at | date: 'd MMM y, HH:mm' }}</b>
              <span class="term">{{ whys[one.why] }}, {{ size(one.bytes) }}</span>
            </span>
            <span class="acts">
              <a class="press quiet" [href]="address(one)" [download]="one.name"
                >Fetch the file<span class="visually-hidden">
                  of {{ one.at | date: 'd MMM y, HH:mm' }}</span
                ></a
              >
              <button type="button" class="press quiet" (click)="chosen.set(one)">
                Restore it…<span class="visually-hidden"> of {{ one.at | date: 'd MMM y, HH:mm' }}</span>
              </button>
            </span>
          </li>
        }
      </ul>
      @if (chosen(); as one) {
        <div class="sure" role="group" aria-label="Before it is put back">
          <p>
            <b>The backup of {{ one.at | date: 'd MMM y, HH:mm' }}</b> holds {{ holds(one.counts) }}.
          </p>
          <p>
            {{ lost() || 'Nothing that is there now is missing in it.' }} What is there now is kept aside in
            the data folder.
          </p>
          <button type="button" class="press next" [disabled]="doing.busy()" (click)="restore(one)">
            Restore it
          </button>
          <button type="button" class="press quiet" (click)="chosen.set(null)">Cancel</button>
        </div>
      }
      @if (doing.problem(); as problem) {
        <p class="wrong" role="alert">{{ problem }}</p>
      }
      <app-text-field
        label="A folder for a second copy, as on another disk"
        [value]="it.secondPlace"
        (valueChange)="second.set($event)"
      />
      <button type="button" class="press" (click)="keepSecond()">Use this folder</button>
    }
  `,
  styles: `
    .rows li {
      display: flex;
      flex-wrap: wrap;
      gap: 4px 16px;
      align-items: center;
      justify-content: space-between;
    }
    .acts {
      display: flex;
      flex-wrap: wrap;
      gap: 8px;
    }
    .sure {
      margin: 12px 0;
      padding: 8px 16px;
      border-left: 6px solid var(--ink);
      background: var(--surface);
    }
  `,
  imports: [DatePipe, FetchState, TextField],
})
export class BackupsForm {
  protected readonly service = inject(BackupsService);
  protected readonly whys = whys;
  protected readonly archive = addressOf('archive', {});
  protected readonly doing = new Doing();
  protected readonly chosen = signal<Backup | null>(null);
  protected readonly second = signal<string | null>(null);

  constructor() {
    this.service.all.refresh();
  }

  /** What is there now and not in the one that is looked at. */
  protected readonly lost = computed(() => {
    const [now, one] = [this.service.all.value()?.now, this.chosen()];
    return now && one ? missingIn(now, one.counts) : '';
  });

  protected holds(counts: BackupCounts): string {
    return countsSay(counts) || 'nothing yet';
  }

  protected size(bytes: number): string {
    return bytes < 1e6 ? `${Math.ceil(bytes / 1000)} kB` : `${(bytes / 1e6).toFixed(1)} MB`;
  }

  protected address({ name }: Backup): string {
    return addressOf('backupFile', { name });
  }

  protected make(): void {
    this.doing.run(this.service.make(), 'Not backed up');
  }

  protected bring(input: HTMLInputElement): void {
    const file = input.files?.[0];
    input.value = '';
    if (file) this.doing.run(this.service.bring(file), 'Not taken', (one) => this.chosen.set(one));
  }

  protected keepSecond(): void {
    const folder = this.second();
    if (folder !== null) this.doing.run(this.service.setSecondPlace(folder), 'Not kept');
  }

  /** Everything on the page is of another folder then: it is loaded anew. */
  protected restore({ name }: Backup): void {
    this.doing.run(this.service.restore(name), 'Not put back', () => location.reload());
  }
}
