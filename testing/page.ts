import { provideHttpClient } from '@angular/common/http';
import { HttpTestingController, provideHttpClientTesting } from '@angular/common/http/testing';
import { type Provider, type Type } from '@angular/core';
import { type ComponentFixture, TestBed } from '@angular/core/testing';
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

/** A piece of a page, and what can be asked of it and done to it. */
export const show = <T>(piece: Type<T>, inputs: Record<string, unknown> = {}): ComponentFixture<T> => {
  const fixture = TestBed.createComponent(piece);
  for (const [name, value] of Object.entries(inputs)) fixture.componentRef.setInput(name, value);
  TestBed.tick();
  return fixture;
};
export const page = (fixture: ComponentFixture<unknown>): HTMLElement => fixture.nativeElement as HTMLElement;
export const said = (fixture: ComponentFixture<unknown>): string =>
  page(fixture).textContent.replace(/\s+/g, ' ').trim();
export const labelled = (fixture: ComponentFixture<unknown>, label: string): HTMLInputElement => {
  const found = Array.from(page(fixture).querySelectorAll('label')).find(
    (each) => each.textContent.trim() === label,
  );
  if (!found) throw new Error(`no field ${label} in: ${said(fixture)}`);
  return page(fixture).querySelector<HTMLInputElement>(`#${found.htmlFor}`)!;
};
export const type = (fixture: ComponentFixture<unknown>, label: string, text: string): void => {
  const box = labelled(fixture, label);
  box.value = text;
  box.dispatchEvent(new Event(box instanceof HTMLInputElement ? 'input' : 'change'));
  TestBed.tick();
};
export const press = (fixture: ComponentFixture<unknown>, name: string): void => {
  Array.from(page(fixture).querySelectorAll('button'))
    .find((each) => each.textContent.trim() === name)!
    .click();
  TestBed.tick();
};

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
