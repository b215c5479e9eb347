import { WrittenPipe } from '../ui/words/written';
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { countsSay, missingIn } from '#words/backup-counts';
import { languageOf } from '#words/reader';
import { languageHere } from '#words/place';
import { addressOf } from '#contract/routes';
import { type Backup, type BackupCounts, BackupsService } from '../data/backups';
import { Doing } from '../ui/doing';
import { FetchState } from '../ui/fetch-state';
import { TextField } from '../ui/fields/text-field';
import { backupsForm as texts } from '#words/en/places/settings/backups-form';
import { common } from '#words/en/places/common';

const whys: Readonly<Record<Backup['why'], string>> = {
  daily: 'daily',
  asked: texts.askedFor,
  brought: texts.broughtFromElsewhere,
};
/** Backups: made now, fetched as a file, copied to a second place, put back after a look at what would be lost. */
@Component({
  selector: 'app-backups-form',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <app-fetch-state [of]="service.all" [what]="texts.theBackups" />
    @if (service.all.value(); as it) {
      <p role="status">
        @if (it.list[0]; as newest) {
          {{ texts.theNewestIsOf(newest.at | written: 'datedMoment', size(newest.bytes)) }}
        } @else {
          {{ texts.thereIsNoneYet }}
        }
      </p>
      @if (it.problem || it.secondProblem) {
        <p class="wrong" role="alert">
          {{ it.problem || texts.theSecondPlaceDoesNot + it.secondProblem }}
        </p>
      }
      <div class="acts">
        <button type="button" class="press" [disabled]="doing.busy()" (click)="make()">
          {{ texts.backUpNow }}
        </button>
        <a class="press" [href]="archive" download>{{ texts.everythingAsAnOpenArchive }}</a>
        <label class="press">
          {{ texts.importAFile }}
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
        {{ texts.theArchiveHoldsEveryRecord }}
      </p>
      <ul class="rows">
        @for (each of it.list; track each.name) {
          <li>
            <span>
              <b>{{ each.at | written: 'datedMoment' }}</b>
              <span class="term">{{ whys[each.why] }}, {{ size(each.bytes) }}</span>
            </span>
            <span class="acts">
              <a class="press quiet" [href]="address(each)" [download]="each.name"
                >{{ texts.fetchTheFile
                }}<span class="visually-hidden"> {{ texts.ofIt(each.at | written: 'datedMoment') }}</span></a
              >
              <button type="button" class="press quiet" (click)="chosen.set(each)">
                {{ texts.restoreIt
                }}<span class="visually-hidden"> {{ texts.ofIt(each.at | written: 'datedMoment') }}</span>
              </button>
            </span>
          </li>
        }
      </ul>
      @if (chosen(); as one) {
        <div class="sure" role="group" [attr.aria-label]="texts.beforeItIsPutBack">
          <p>
            <b>{{ texts.theBackupOf(one.at | written: 'datedMoment') }}</b>
            {{ texts.holds(holds(one.counts)) }}
          </p>
          <p>
            {{ texts.whatIsHereNowIs(lost() || texts.itHoldsEverythingThatIs) }}
          </p>
          <button type="button" class="press next" [disabled]="doing.busy()" (click)="restore(one)">
            {{ texts.restoreIt2 }}
          </button>
          <button type="button" class="press quiet" (click)="chosen.set(null)">{{ common.cancel }}</button>
        </div>
      }
      @if (doing.problem(); as problem) {
        <p class="wrong" role="alert">{{ problem }}</p>
      }
      <app-text-field
        [label]="texts.aFolderForASecond"
        [value]="it.secondPlace"
        (valueChange)="second.set($event)"
      />
      <button type="button" class="press" (click)="keepSecond()">{{ texts.useThisFolder }}</button>
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
  imports: [WrittenPipe, FetchState, TextField],
})
export class BackupsForm {
  protected readonly texts = texts;
  protected readonly common = common;
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
    return now && one ? missingIn(now, one.counts, languageOf(languageHere())) : '';
  });

  protected holds(counts: BackupCounts): string {
    return countsSay(counts, languageOf(languageHere())) || texts.nothingYet;
  }

  protected size(bytes: number): string {
    return bytes < 1e6 ? `${Math.ceil(bytes / 1000)} kB` : `${(bytes / 1e6).toFixed(1)} MB`;
  }

  protected address({ name }: Backup): string {
    return addressOf('backupFile', { name });
  }

  protected make(): void {
    this.doing.run(this.service.make(), texts.notBackedUp);
  }

  protected bring(input: HTMLInputElement): void {
    const file = input.files?.[0];
    input.value = '';
    if (file) this.doing.run(this.service.bring(file), texts.notAdded, (each) => this.chosen.set(each));
  }

  protected keepSecond(): void {
    const folder = this.second();
    if (folder !== null) this.doing.run(this.service.setSecondPlace(folder), texts.notSaved);
  }

  /** Everything on the page is of another folder then: it is loaded anew. */
  protected restore({ name }: Backup): void {
    this.doing.run(this.service.restore(name), texts.notRestored, () => location.reload());
  }
}
