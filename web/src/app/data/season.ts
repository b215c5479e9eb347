import { inject, Injectable } from '@angular/core';
import { type Observable, tap } from 'rxjs';
import { type Answer, type BodyGiven } from '#contract/endpoints';
import { type NewCrop, type SourcedCrop } from '#contract/crop';
import { type Plan, type SeasonDue } from '#contract/plan';
import { type SeasonLine, type SeasonSettings } from '#core/season/line';
import { ApiClient } from './api';
import { Resource } from './resource';

export type LineGiven = BodyGiven<'changeLine'>;

/** Crops, and the season that is planned of them. */
@Injectable({ providedIn: 'root' })
export class SeasonService {
  private readonly api = inject(ApiClient);
  readonly crops = new Resource<readonly SourcedCrop[]>(() => this.api.call('crops'));
  readonly plan = new Resource<Plan>(() => this.api.call('plan'));

  /** Tasks that are due, for a page that looks at them. */
  due(): Resource<SeasonDue[]> {
    return new Resource(() => this.api.call('seasonTasks'));
  }

  /** What the season takes that is not there, for a page that looks at it. */
  short(): Resource<Answer<'seasonShort'>> {
    return new Resource(() => this.api.call('seasonShort'));
  }

  add(line: LineGiven): Observable<SeasonLine> {
    return this.api.create('addLine', { body: line }).pipe(tap((made) => this.put(made)));
  }

  /** Number of the newest change of each line: what an older one answers is out of date. */
  private readonly newest = new Map<number, number>();

  change(id: number, line: LineGiven): Observable<SeasonLine> {
    const number = (this.newest.get(id) ?? 0) + 1;
    this.newest.set(id, number);
    return this.api.call('changeLine', { params: { id }, body: line }).pipe(
      tap((made) => {
        if (this.newest.get(id) === number) this.put(made);
      }),
    );
  }

  /** Shows it at once, as a hand drags it; what the server then says holds. */
  show(line: SeasonLine): void {
    this.put(line);
  }

  putAway(id: number): Observable<void> {
    return this.api.call('putAwayLine', { params: { id } }).pipe(tap(() => this.plan.refresh()));
  }

  bringBack(id: number): Observable<void> {
    return this.api.call('restoreLine', { params: { id } }).pipe(tap(() => this.plan.refresh()));
  }

  /** @param on null takes it back */
  mark(line: number, sowing: number, task: string, on: string | null): Observable<void> {
    return this.api
      .call('markTask', { params: { id: line }, body: { sowing, task, on } })
      .pipe(tap(() => this.plan.refresh()));
  }

  set(settings: SeasonSettings): Observable<SeasonSettings> {
    return this.api
      .call('setSeason', { body: settings })
      .pipe(tap((made) => this.plan.change((plan) => ({ ...plan, settings: made }))));
  }

  /** @param id of the one that changes; null for a new one */
  keepCrop(id: string | null, says: string, crop: NewCrop['crop']): Observable<SourcedCrop> {
    const body = { says, crop };
    const sent =
      id === null
        ? this.api.create('keepCrop', { body })
        : this.api.call('changeCrop', { params: { crop: id }, body });
    return sent.pipe(tap(() => this.crops.refresh()));
  }

  private put(made: SeasonLine): void {
    this.plan.change((plan) => {
      const before = plan.lines.find(({ id }) => id === made.id);
      if (!before) return { ...plan, lines: [...plan.lines, made] };
      // What the server says is mostly what is shown already.
      if (JSON.stringify(before) === JSON.stringify(made)) return plan;
      return { ...plan, lines: plan.lines.map((line) => (line === before ? made : line)) };
    });
  }
}

export type { Plan, SeasonDue, SeasonLine, SeasonSettings, SourcedCrop };
