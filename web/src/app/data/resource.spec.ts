import { signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { type Observable, Subject, throwError } from 'rxjs';
import { Resource, resourceOf } from './resource';

test('on its way, there, and there still while it is fetched again', () => {
  const answers: Subject<number>[] = [];
  const resource = new Resource(() => {
    const answer = new Subject<number>();
    answers.push(answer);
    return answer;
  });
  expect([resource.state().state, resource.value()]).toEqual(['loading', undefined]);
  answers[0]!.next(1);
  resource.refresh();
  expect(resource.value()).toBe(1);
  answers[1]!.next(2);
  expect(resource.value()).toBe(2);
  // An answer to what was asked before comes too late.
  answers[0]!.next(9);
  expect(resource.value()).toBe(2);
});

test('a failure says why, and trying again starts from the beginning', () => {
  let broken = true;
  const later = new Subject<number>();
  const resource = new Resource<number>(() => (broken ? throwError(() => new Error('no network')) : later));
  expect(resource.state()).toEqual({ state: 'failed', why: 'no network' });
  broken = false;
  resource.refresh();
  expect(resource.state().state).toBe('loading');
  later.next(3);
  expect(resource.value()).toBe(3);
});

test('a change before the server has said so; nothing where nothing is there', () => {
  const answer = new Subject<readonly number[]>();
  const resource = new Resource(() => answer);
  resource.change((all) => [...all, 1]);
  expect(resource.value()).toBeUndefined();
  answer.next([5]);
  resource.change((all) => [...all, 6]);
  expect(resource.value()).toEqual([5, 6]);
});

test('another id in the address: the one in sight goes, the other is fetched', () => {
  const asked: number[] = [];
  const answers = new Map<number, Subject<string>>();
  const fetch = (id: number): Observable<string> => {
    asked.push(id);
    const answer = new Subject<string>();
    answers.set(id, answer);
    return answer;
  };
  const id = signal('4');
  const resource = TestBed.runInInjectionContext(() => resourceOf(id, fetch));
  TestBed.tick();
  answers.get(4)!.next('four');
  expect(resource.value()).toBe('four');
  id.set('5');
  TestBed.tick();
  expect([resource.state().state, resource.value()]).toEqual(['loading', undefined]);
  answers.get(5)!.next('five');
  expect([resource.value(), asked]).toEqual(['five', [4, 5]]);
});
