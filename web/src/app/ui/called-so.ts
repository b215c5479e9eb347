import { inject } from '@angular/core';
import { ActivatedRoute } from '@angular/router';

const MOST = 60;

/** What a new thing is to be called: of the address, where somebody sought it elsewhere. Call where things are injected. */
export const calledSo = (): string =>
  (inject(ActivatedRoute, { optional: true })?.snapshot.queryParamMap.get('called') ?? '').slice(0, MOST);
