import { provideHttpClient } from '@angular/common/http';
import { HttpTestingController, provideHttpClientTesting } from '@angular/common/http/testing';
import { type Provider } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { provideRouter } from '@angular/router';
import { materialToRow } from '#core/material/material';
import { vesselKinds } from '#core/vessel/kinds';
import { amendments, materials } from '#testing/library';

/** A page's services without a server: answers are given by hand. */
export function bench(providers: Provider[] = []): HttpTestingController {
  localStorage.clear();
  sessionStorage.clear();
  TestBed.configureTestingModule({
    providers: [provideHttpClient(), provideHttpClientTesting(), provideRouter([]), ...providers],
  });
  return TestBed.inject(HttpTestingController);
}

/** Answers the request for the library with the starter one. */
export function giveLibrary(http: HttpTestingController): void {
  http.expectOne('/api/library').flush({
    materials: materials.map((m) => ({ ...materialToRow(m), own: false })),
    amendments: amendments.map((a) => ({ ...a, own: false })),
    vessels: vesselKinds.map((v) => ({ ...v, own: false })),
  });
  TestBed.tick();
  // A page that judges asks for the nursery's windows too.
  for (const asked of http.match('/api/windows')) asked.flush({ stages: {}, crops: {} });
}

type Listener = (event: { data: unknown }) => void;

/** A stream or a worker that a test speaks through. */
export class FakeSource {
  static all: FakeSource[] = [];
  readonly sent: unknown[] = [];
  closed = false;
  private readonly listeners = new Map<string, Listener[]>();

  constructor(readonly url = '') {
    FakeSource.all.push(this);
  }

  addEventListener(kind: string, listen: Listener): void {
    this.listeners.set(kind, [...(this.listeners.get(kind) ?? []), listen]);
  }

  postMessage(message: unknown): void {
    this.sent.push(message);
  }

  close(): void {
    this.closed = true;
  }

  terminate(): void {
    this.closed = true;
  }

  say(kind: string, data: unknown = null): void {
    for (const listen of this.listeners.get(kind) ?? []) listen({ data });
  }
}
