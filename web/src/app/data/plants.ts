import { inject, Injectable } from '@angular/core';
import { type Observable } from 'rxjs';
import { type About } from '#contract/about';
import { type Answer, type BodyGiven, type QueryGiven } from '#contract/endpoints';
import {
  type BatchResult,
  type CropShare,
  type KeptPlantEvent,
  type OwnOdds,
  type PlantGroup,
  type PlantingLine,
  type PlantingPage,
  type PlantList,
  type Trial,
} from '#contract/plants';
import { ApiClient } from './api';
import { Making } from './making';
import { type ForThing } from './outbox';
import { Resource } from './resource';
import { plants as texts } from '#words/en/places/data/plants';

export type PlantCareHere = Answer<'plantCare'>[number];
export type PlantingGiven = Omit<BodyGiven<'addPlanting'>, 'key'>;
export type TrialGiven = Omit<BodyGiven<'addTrial'>, 'key'>;

/** Plantings and what became of them. */
@Injectable({ providedIn: 'root' })
export class PlantsService {
  private readonly api = inject(ApiClient);
  private readonly making = inject(Making);

  /** A page of the list, for a page that looks at it. */
  list(finished: PlantList): Resource<readonly PlantingLine[]> {
    return new Resource(() => this.api.call('plantings', { query: { finished } }));
  }

  more(finished: PlantList, from: number): Observable<PlantingLine[]> {
    return this.api.call('plantings', { query: { finished, from: String(from) } });
  }

  one(id: number): Observable<PlantingPage> {
    return this.api.call('planting', { params: { id } });
  }

  /** @returns null where it waits on this device until the nursery is in reach */
  add(body: PlantingGiven, called: string, about: readonly About[]): Observable<PlantingLine | null> {
    return this.making.make('addPlanting', { body, about }, called);
  }

  /** @param jpeg base64 @returns null where it waits on this device */
  addPicture({ id, key }: ForThing, on: string, jpeg: string): Observable<KeptPlantEvent | null> {
    const about = [{ kind: 'planting' as const, id, key }];
    return this.making.make('addPicture', { params: { id }, body: { on, jpeg }, about }, texts.aPicture);
  }

  /** Plantings or pictures that had waited on this device are there now. */
  arrived(): Observable<unknown> {
    return this.making.madeLater('addPlanting', 'addPicture');
  }

  putAway(id: number): Observable<void> {
    return this.api.call('putAwayPlanting', { params: { id } });
  }

  bringBack(id: number): Observable<void> {
    return this.api.call('restorePlanting', { params: { id } });
  }

  care(): Resource<Answer<'plantCare'>> {
    return new Resource(() => this.api.call('plantCare'));
  }

  groups(query: QueryGiven<'plantGroups'>): Observable<PlantGroup[]> {
    return this.api.call('plantGroups', { query });
  }

  taught(): Resource<Answer<'taught'>> {
    return new Resource(() => this.api.call('taught'));
  }

  takenUp(): Resource<Answer<'takenUp'>> {
    return new Resource(() => this.api.call('takenUp'));
  }

  tender(): Resource<Answer<'tender'>> {
    return new Resource(() => this.api.call('tender'));
  }

  results(of: 'batch' | 'mix', id: number): Observable<BatchResult[]> {
    return this.api.call('plantResults', { query: { of, id: String(id) } });
  }

  odds(): Resource<OwnOdds> {
    return new Resource(() => this.api.call('odds'));
  }

  setOdds(body: OwnOdds): Observable<OwnOdds> {
    return this.api.call('setOdds', { body });
  }

  trials(): Resource<Answer<'trials'>> {
    return new Resource(() => this.api.call('trials'));
  }

  trial(id: number): Observable<Trial> {
    return this.api.call('trial', { params: { id } });
  }

  layOut(body: TrialGiven): Observable<Trial> {
    return this.api.create('addTrial', { body });
  }
}

export type { BatchResult, CropShare, KeptPlantEvent, PlantGroup, PlantingLine, PlantingPage, Trial };
