import { DatePipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, DestroyRef, effect, inject, signal } from '@angular/core';
import { type Observable } from 'rxjs';
import { type Device, DevicesService, type ShareWay } from '../data/devices';
import { Doing } from '../ui/doing';
import { FetchState } from '../ui/fetch-state';
import { TextField } from '../ui/fields/text-field';

const LOOK_MS = 2000;
const ways: readonly { id: ShareWay; name: string; says: string }[] = [
  { id: 'off', name: 'This machine alone', says: 'Nobody else can reach it.' },
  {
    id: 'sealed',
    name: 'Paired devices, sealed',
    says: 'Nobody between can read or change anything. A device warns of the certificate until the nursery’s own authority is installed on it.',
  },
  {
    id: 'plain',
    name: 'Paired devices, plain',
    says: 'No warning, but whoever is in the same network can read along and steal the device’s key. Only for a network that is yours alone; nothing works there without the network.',
  },
];

/** Phones and other devices: the door opened, a device paired by pointing it at a picture, named, and taken away. */
@Component({
  selector: 'app-devices-form',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <app-fetch-state [of]="service.sharing" what="the devices" />
    @if (service.sharing.value(); as it) {
      <ul class="plain">
        @for (way of ways; track way.id) {
          <li>
            <label>
              <input
                type="radio"
                name="share-way"
                [value]="way.id"
                [checked]="it.way === way.id"
                [disabled]="doing.busy()"
                (change)="run(service.open(way.id))"
              />
              <b>{{ way.name }}</b>
            </label>
            <p class="term">{{ way.says }}</p>
          </li>
        }
      </ul>
      @if (it.problem) {
        <p class="wrong" role="alert">It is not open: {{ it.problem }}.</p>
      }
      @if (it.way !== 'off' && !it.problem) {
        <p>
          Open at
          @for (address of it.addresses; track address) {
            <b>{{ address }}</b>{{ $last ? '.' : ', ' }}
          } @empty {
            no address: this machine is in no network.
          }
        </p>
        @if (it.fingerprint) {
          <p class="term">
            Its authority, SHA-256: <span class="print">{{ it.fingerprint }}</span>. Compare it with what the
            device shows before you trust it there.
          </p>
        }
        <button type="button" class="press" [disabled]="doing.busy()" (click)="run(service.pair())">
          Pair a device
        </button>
      }
      @if (it.code; as code) {
        <div class="code" role="group" aria-label="Pair a device">
          @if (code.picture) {
            <img [src]="code.picture" alt="" width="220" height="220" />
          }
          <div>
            <p>
              Point the device’s camera at the picture, or open <b>{{ it.addresses[0] }}/pair</b> on it and
              type
            </p>
            <p class="text">{{ code.text }}</p>
            <p class="term">For one device, until {{ code.until | date: 'HH:mm' }}.</p>
            @if (it.way === 'sealed') {
              <p class="term">
                It warns of the certificate at first: that is right, it does not know this nursery yet. The
                page that opens offers the nursery’s authority and says how to install it; with it the device
                works without the network too.
              </p>
            }
          </div>
        </div>
      }
      <ul class="rows">
        @for (one of it.devices; track one.id) {
          <li>
            @if (renaming() === one.id) {
              <app-text-field label="Its name" [value]="one.name" (valueChange)="name.set($event)" />
              <button type="button" class="press" (click)="rename(one)">Save the name</button>
            } @else {
              <span>
                <b>{{ one.name }}</b>
                <span class="term">
                  paired {{ one.pairedAt | date: 'd MMM y' }}, seen
                  {{ one.seenAt | date: 'd MMM y, HH:mm' }}</span
                >
              </span>
              <span class="acts">
                <button type="button" class="press quiet" (click)="begin(one)">
                  Rename<span class="visually-hidden"> {{ one.name }}</span>
                </button>
                <button type="button" class="press quiet" (click)="run(service.takeAway(one.id))">
                  Take its leave away<span class="visually-hidden">: {{ one.name }}</span>
                </button>
              </span>
            }
          </li>
        }
      </ul>
    }
    @if (doing.problem(); as problem) {
      <p class="wrong" role="alert">{{ problem }}</p>
    }
  `,
  styles: `
    .plain {
      padding: 0;
      list-style: none;
    }
    .plain label {
      display: flex;
      gap: 10px;
      align-items: center;
      min-height: 44px;
    }
    .plain .term {
      margin: 0 0 4px 28px;
    }
    .print {
      overflow-wrap: anywhere;
    }
    .code {
      display: flex;
      flex-wrap: wrap;
      gap: 16px;
      margin: 12px 0;
      padding: 8px 16px;
      border-left: 6px solid var(--ink);
      background: var(--surface);
    }
    .code > div {
      flex: 1 1 240px;
    }
    .text {
      font-size: var(--head);
      font-weight: 650;
      letter-spacing: 0.12em;
    }
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
  `,
  imports: [DatePipe, FetchState, TextField],
})
export class DevicesForm {
  protected readonly service = inject(DevicesService);
  protected readonly ways = ways;
  protected readonly doing = new Doing();
  protected readonly renaming = signal<number | null>(null);
  protected readonly name = signal('');
  constructor() {
    this.service.sharing.refresh();
    // While a code waits, the device that takes it appears by itself.
    let timer: ReturnType<typeof setInterval> | undefined;
    effect(() => {
      clearInterval(timer);
      if (this.service.sharing.value()?.code)
        timer = setInterval(() => this.service.sharing.refresh(), LOOK_MS);
    });
    inject(DestroyRef).onDestroy(() => clearInterval(timer));
  }

  protected begin({ id, name }: Device): void {
    this.name.set(name);
    this.renaming.set(id);
  }

  protected rename({ id }: Device): void {
    this.run(this.service.rename(id, this.name()), () => this.renaming.set(null));
  }

  protected run<T>(work: Observable<T>, then?: () => void): void {
    this.doing.run(work, 'Not done', then);
  }
}
