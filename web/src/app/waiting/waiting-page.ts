import { WrittenPipe } from '../ui/words/written';
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { LibraryService } from '../data/library';
import { LotsService } from '../data/lots';
import { NurseryService } from '../data/nursery';
import { Outbox } from '../data/outbox';
import { isForMaking, isForPlanting, isForRecord, isForUndo, type Waiting } from '../data/outbox-store';
import { entryText } from '../ui/words/entry-text';
import { eventSays } from '#words/read';
import { shortName } from '../ui/words/words';
import { waitingPage as texts } from '#words/en/places/waiting/waiting-page';
import { common } from '#words/en/places/common';
import { ReaderHere } from '../data/reader-here';

/** What this device entered and the server does not have, each with why and what can be done about it. */
@Component({
  selector: 'app-waiting-page',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'page' },
  template: `
    <h1>{{ texts.waitingToBeSent }}</h1>
    <ul class="rows">
      @for (row of rows(); track row.item.key) {
        <li>
          <span>
            <b>{{ row.what }}</b>: {{ row.says }}
            <span class="term">{{ texts.entered(row.item.at | written: 'moment') }}</span>
            @if (row.why) {
              <span class="why">{{ row.why }}</span>
            }
            @if (problem()?.key === row.item.key) {
              <span class="why" role="alert">{{ problem()?.says }}</span>
            }
          </span>
          <span class="ways">
            @if (row.isElsewhere) {
              <button type="button" class="press" (click)="enterHere(row.item.key)">
                {{ texts.enterItHere }}<span class="visually-hidden">: {{ row.what }}</span>
              </button>
            } @else if (row.isAhead) {
              <button type="button" class="press" (click)="outbox.onDay(row.item.key, nursery.today())">
                {{ texts.enterItUnderToday }}<span class="visually-hidden">: {{ row.what }}</span>
              </button>
            } @else if (row.clashes; as batch) {
              <a class="press" [routerLink]="['/batches', batch, 'run']">
                {{ texts.compareBoth }}<span class="visually-hidden">: {{ row.what }}</span>
              </a>
            } @else if (row.isAsked) {
              <button type="button" class="press" (click)="outbox.again(row.item.key)">
                {{ texts.sendItAgain }}<span class="visually-hidden">: {{ row.what }}</span>
              </button>
            }
            @if (row.isAsked) {
              <button type="button" class="press quiet" (click)="outbox.drop(row.item.key)">
                {{ common.delete }}<span class="visually-hidden">: {{ row.what }}</span>
              </button>
            }
          </span>
        </li>
      } @empty {
        <li>{{ texts.everythingEnteredOnThisDevice }}</li>
      }
    </ul>
  `,
  styles: `
    li {
      display: flex;
      flex-wrap: wrap;
      gap: 8px 16px;
      justify-content: space-between;
    }
    .why {
      display: block;
    }
    .ways {
      display: flex;
      align-items: center;
      gap: 8px;
    }
  `,
  imports: [WrittenPipe, RouterLink],
})
export class WaitingPage {
  protected readonly texts = texts;
  protected readonly common = common;
  private readonly reader = inject(ReaderHere);
  protected readonly outbox = inject(Outbox);
  protected readonly nursery = inject(NurseryService);
  private readonly library = inject(LibraryService).library;
  private readonly lots = inject(LotsService);
  protected readonly problem = signal<{ key: string; says: string } | null>(null);

  protected readonly rows = computed(() =>
    this.outbox.items().map((item) => {
      const isElsewhere = item.state === 'elsewhere' || !this.outbox.isHere(item);
      const isAsked = item.state !== 'waiting' || isElsewhere;
      return {
        ...{ item, isElsewhere, isAsked, what: whatOf(item), says: this.saysOf(item) },
        why: isElsewhere ? texts.itWasEnteredBeforeA : sentence(item.why ?? ''),
        /** The batch on whose page both words stand side by side. */
        clashes: item.state === 'conflict' && isForRecord(item) ? item.batch : null,
        isAhead: item.state === 'refused' && isForPlanting(item) && item.event.on > this.nursery.today(),
      };
    }),
  );

  private saysOf(item: Waiting): string {
    if (isForUndo(item)) return texts.theLastEntryIsUndone;
    if (isForPlanting(item)) return this.reader.read(eventSays(item.event));
    if (isForMaking(item)) return texts.toBeSaved;
    const library = this.library();
    const name = (id: string): string => {
      const found = library?.materials.get(id) ?? library?.amendments.get(id);
      return found ? shortName(found.name) : id;
    };
    return entryText(item.data, this.reader.now(), name, (lot) => this.lots.one(lot)?.name ?? `lot ${lot}`);
  }

  protected enterHere(key: string): void {
    this.problem.set(null);
    this.outbox.enterHere(key).then(
      (isThere) => {
        if (!isThere)
          this.problem.set({
            key,
            says: texts.whatItIsAboutIs,
          });
      },
      (error: Error) => this.problem.set({ key, says: texts.notEntered(error.message) }),
    );
  }
}

const capital = (text: string): string => `${text.slice(0, 1).toUpperCase()}${text.slice(1)}`;
const sentence = (text: string): string => (text === '' ? '' : `${capital(text)}.`);

function whatOf(item: Waiting): string {
  const called = item.called === undefined ? undefined : capital(item.called);
  if (isForMaking(item)) return called ?? texts.somethingNew;
  if (isForPlanting(item)) return called ?? texts.planting(item.planting);
  if (isForUndo(item)) return called ?? texts.planting(item.ofPlanting);
  return called ?? texts.batch(item.batch);
}
