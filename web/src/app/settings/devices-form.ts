import { WrittenPipe } from '../ui/words/written';
import { ChangeDetectionStrategy, Component, DestroyRef, effect, inject, signal } from '@angular/core';
import { type Observable } from 'rxjs';
import { type Device, DevicesService, type ShareWay } from '../data/devices';
import { Doing } from '../ui/doing';
import { FetchState } from '../ui/fetch-state';
import { TextField } from '../ui/fields/text-field';
import { devicesForm as texts } from '#words/en/places/settings/devices-form';

const LOOK_MS = 2000;
const ways: readonly { id: ShareWay; name: string; says: string }[] = [
  { id: 'off', name: texts.thisMachineAlone, says: texts.nobodyElseCanReachIt },
  {
    id: 'sealed',
    name: texts.pairedDevicesSealed,
    says: texts.nobodyBetweenCanReadOr,
  },
  {
    id: 'plain',
    name: texts.pairedDevicesPlain,
    says: texts.noWarningButWhoeverIs,
  },
];

/** Phones and other devices: the door opened, a device paired by pointing it at a picture, named, and taken away. */
@Component({
  selector: 'app-devices-form',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <app-fetch-state [of]="service.sharing" [what]="texts.theDevices" />
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
        <p class="wrong" role="alert">{{ texts.itIsNotOpen(it.problem) }}</p>
      }
      @if (it.way !== 'off' && !it.problem) {
        <p>
          {{ texts.openAt }}
          @for (address of it.addresses; track address) {
            <b>{{ address }}</b>{{ $last ? '.' : ', ' }}
          } @empty {
            {{ texts.noAddressThisMachineIs }}
          }
        </p>
        @if (it.fingerprint) {
          <p class="term">
            {{ texts.itsAuthoritySha256 }} <span class="print">{{ it.fingerprint }}</span>{{
              texts.compareItWithWhatThe
            }}
          </p>
        }
        <button type="button" class="press" [disabled]="doing.busy()" (click)="run(service.pair())">
          {{ texts.pairADevice }}
        </button>
      }
      @if (it.code; as code) {
        <div class="code" role="group" [attr.aria-label]="texts.pairADevice">
          @if (code.picture) {
            <img [src]="code.picture" alt="" width="220" height="220" />
          }
          <div>
            <p>
              {{ texts.pointTheDevicesCameraAt }} <b>{{ texts.pair(it.addresses[0]) }}</b>
              {{ texts.onItAndType }}
            </p>
            <p class="text">{{ code.text }}</p>
            <p class="term">{{ texts.forOneDeviceUntil(code.until | written: 'time') }}</p>
            @if (it.way === 'sealed') {
              <p class="term">
                {{ texts.atFirstItWarnsOf }}
              </p>
            }
          </div>
        </div>
      }
      <ul class="rows">
        @for (device of it.devices; track device.id) {
          <li>
            @if (renaming() === device.id) {
              <app-text-field
                [label]="texts.itsName"
                [value]="device.name"
                (valueChange)="name.set($event)"
              />
              <button type="button" class="press" (click)="rename(device)">{{ texts.saveTheName }}</button>
            } @else {
              <span>
                <b>{{ device.name }}</b>
                <span class="term">
                  {{
                    texts.pairedSeen(
                      device.pairedAt | written: 'dated',
                      device.seenAt | written: 'datedMoment'
                    )
                  }}</span
                >
              </span>
              <span class="acts">
                <button type="button" class="press quiet" (click)="begin(device)">
                  {{ texts.rename }}<span class="visually-hidden"> {{ device.name }}</span>
                </button>
                <button type="button" class="press quiet" (click)="run(service.takeAway(device.id))">
                  {{ texts.removeThisDevice }}<span class="visually-hidden">: {{ device.name }}</span>
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
  imports: [WrittenPipe, FetchState, TextField],
})
export class DevicesForm {
  protected readonly texts = texts;
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
    this.doing.run(work, texts.notDone, then);
  }
}
