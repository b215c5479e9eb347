import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { inSentence } from '#words/formats';
import { type Finding } from '#core/advise/findings';
import { type KnownFlag } from '#core/judge/judge';
import { type Flag, type Severity } from '#core/judge/flag';
import { type WaysTold, type WayTold } from '../../workers/advise.protocol';
import { ReaderHere } from '../../data/reader-here';
import { SaidPipe } from '../../ui/words/said';
import { severityWord } from '../../ui/words/verdict';
import { WrittenPipe } from '../../ui/words/written';
import { WorksHere } from './works-here';
import { findingList as texts } from '#words/en/places/mix/answer/finding-list';

const icons: Record<Severity, string> = {
  stop: 'bi-octagon-fill',
  warn: 'bi-exclamation-triangle-fill',
  note: 'bi-info-circle',
};

/** What there is to mind, each subject once, worst first; under each only ways out that were tried. */
@Component({
  selector: 'app-finding-list',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ul [attr.aria-label]="texts.whatToMind">
      @for (finding of shown(); track finding.subject) {
        <li [class]="finding.severity">
          <p>
            <b
              ><i class="bi" [class]="icons[finding.severity]" aria-hidden="true"></i>
              {{ word(finding.severity) }}</b
            >
            {{ finding.cause.text | said }}
          </p>
          @if (finding.adds.length > 0) {
            <p class="term">{{ texts.addsToIt(addsOf(finding)) }}</p>
          }
          <div class="out">
            @let told = waysOf(finding);
            @if (told?.ways?.at(0); as way) {
              <button type="button" class="press" (click)="pressed.emit(way)">{{ way.says | said }}</button>
              @if (told!.ways.length > 1) {
                <details>
                  <summary>{{ texts.otherWays }}</summary>
                  @for (other of told!.ways.slice(1); track $index) {
                    <button type="button" class="press" (click)="pressed.emit(other)">
                      {{ other.says | said }}
                    </button>
                  }
                </details>
              }
            } @else if (finding.cause.fix === undefined) {
              <p>{{ finding.cause.remedy | said }}</p>
            } @else if (!whole()) {
              <p class="term">{{ texts.looking }}</p>
            } @else if (told?.would; as would) {
              <p>
                {{ would | said }} <a routerLink="/mix/finder">{{ texts.openTheFinder }}</a>
              </p>
            } @else {
              <p>{{ finding.cause.remedy | said }}</p>
            }
          </div>
          @if (finding.severity !== 'stop') {
            <app-works-here (said)="quieted.emit({ finding, why: $event })" />
          }
        </li>
      } @empty {
        <li class="fine">
          <p>{{ texts.nothingToMind }}</p>
        </li>
      }
    </ul>
    @if (findings().length > first()) {
      <button
        type="button"
        class="press quiet more"
        [attr.aria-expanded]="open()"
        (click)="open.set(!open())"
      >
        {{ open() ? texts.fewer : findings().length - first() + texts.moreToWatch }}
      </button>
    }
    @if (known().length > 0) {
      <details class="care">
        <summary>{{ texts.knownToWorkHere(known().length) }}</summary>
        <ul>
          @for (flag of known(); track flag.code) {
            <li>
              <p>{{ flag.text | said }}</p>
              <p>{{ texts.whyAndWhen(flag.why, flag.on | written: 'full') }}</p>
              <button type="button" class="press quiet" (click)="heard.emit(flag.code)">
                {{ texts.sayItAgain }}
              </button>
            </li>
          }
        </ul>
      </details>
    }
    @if (care().length > 0) {
      <details class="care">
        <summary>{{ texts.handleWithCare(careNames()) }}</summary>
        <ul>
          @for (flag of care(); track flag.code) {
            <li>
              <p>{{ flag.text | said }} {{ flag.remedy | said }}</p>
            </li>
          }
        </ul>
      </details>
    }
  `,
  styleUrl: './finding-list.scss',
  imports: [RouterLink, SaidPipe, WorksHere, WrittenPipe],
})
export class FindingList {
  protected readonly texts = texts;
  readonly findings = input.required<readonly Finding[]>();
  readonly care = input<readonly Flag[]>([]);
  /** Ways out by subject, once they are worked out; null meanwhile. */
  readonly ways = input<ReadonlyMap<string, WaysTold> | null>(null);
  /** Whether all was looked for: what has no way then has none. */
  readonly whole = input(false);
  /** How many stand open before "more" is pressed. */
  readonly first = input(3);
  /** What is not said of it: known to work here. */
  readonly known = input<readonly KnownFlag[]>([]);
  readonly pressed = output<WayTold>();
  readonly quieted = output<{ finding: Finding; why: string }>();
  /** Code of what is to be said again. */
  readonly heard = output<string>();
  private readonly reader = inject(ReaderHere);
  protected readonly icons = icons;
  protected readonly word = severityWord;
  protected readonly open = signal(false);
  protected readonly careNames = computed(() =>
    this.care()
      .map((flag) => careWords[flag.code] ?? flag.code)
      .join(', '),
  );
  protected readonly shown = computed(() =>
    this.open() ? this.findings() : this.findings().slice(0, this.first()),
  );

  protected addsOf({ adds }: Finding): string {
    return adds.map(({ text }) => inSentence(this.reader.short(text))).join('; ');
  }

  protected waysOf({ subject }: Finding): WaysTold | undefined {
    return this.ways()?.get(subject);
  }
}

const careWords: Record<string, string> = {
  dust: 'dust',
  'lime-eyes': texts.limeInTheEyes,
  legionella: texts.compostAndItsGerms,
  oxidiser: texts.nitrateSalts,
  'heat-ammonium': 'heat',
  'old-vermiculite': texts.oldVermiculite,
  'manure-food': texts.manureAndFood,
  'store-open': texts.storingIt,
  'repels-water': texts.dryPeatOrCoir,
  lifting: 'lifting',
};
