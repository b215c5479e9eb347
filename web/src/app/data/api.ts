import { HttpClient, HttpErrorResponse } from '@angular/common/http';
import { inject, Injectable } from '@angular/core';
import { catchError, type Observable, tap, throwError } from 'rxjs';
import { type Answer, type BodyGiven, type QueryGiven } from '#contract/endpoints';
import { addressOf, type EndpointName, type Params, routes } from '#contract/routes';
import { uuid } from './uuid';

export interface ApiIssue {
  path: string;
  value: unknown;
  allowed: string;
}

/** What went wrong, in words. Status 0 means that nobody answered. */
export class ApiError extends Error {
  constructor(
    readonly status: number,
    message: string,
    readonly issues: readonly ApiIssue[] = [],
  ) {
    super(message);
  }
}

type InPath<K extends EndpointName> = [keyof Params<K>] extends [never]
  ? { params?: undefined }
  : { params: Params<K> };
/** What an endpoint is called with, by its name. */
export type Given<K extends EndpointName> = InPath<K> &
  (BodyGiven<K> extends undefined ? { body?: undefined } : { body: BodyGiven<K> }) & {
    query?: QueryGiven<K> & Readonly<Record<string, string>>;
  };
type MaybeGiven<K extends EndpointName> = object extends Given<K> ? [given?: Given<K>] : [given: Given<K>];

/** Names of the endpoints that make something and take a client key. */
export type CreateName = {
  [K in EndpointName]: BodyGiven<K> extends { key: string } ? K : never;
}[EndpointName];
export type GivenToCreate<K extends CreateName> = InPath<K> & { body: Omit<BodyGiven<K>, 'key'> };

/** The one way to the server: endpoints by name, typed by the contract; failures as ApiError. */
@Injectable({ providedIn: 'root' })
export class Api {
  private readonly http = inject(HttpClient);
  /** Keys of what was sent and not answered, by what was sent. */
  private readonly unanswered = new Map<string, string>();

  call<K extends EndpointName>(name: K, ...[given]: MaybeGiven<K>): Observable<Answer<K>> {
    const [method] = routes[name];
    const address = addressOf(name, (given?.params ?? {}) as Params<K>, given?.query);
    // JSON also where it is empty.
    const body: unknown = given?.body ?? (method === 'GET' || method === 'DELETE' ? undefined : {});
    // Every body is JSON, or a file as it is.
    const headers = body instanceof Blob ? { 'content-type': 'application/octet-stream' } : undefined;
    return this.http
      .request<Answer<K>>(method, address, { body, ...(headers && { headers }) })
      .pipe(catchError((error: unknown) => throwError(() => asApiError(error))));
  }

  /** Makes something. The same thing sent again after a lost answer goes under the same key: it is made once. */
  create<K extends CreateName>(name: K, { params, body }: GivenToCreate<K>): Observable<Answer<K>> {
    const what = JSON.stringify([name, params, body]);
    const key = this.keyOf(what);
    const given = [{ params, body: { key, ...body } }] as unknown as MaybeGiven<K>;
    return this.call(name, ...given).pipe(tap(() => this.unanswered.delete(what)));
  }

  /** Key under which something was sent that nobody has answered: who sends it from now on does so under it. */
  handOver<K extends CreateName>(name: K, { params, body }: GivenToCreate<K>): string {
    const what = JSON.stringify([name, params, body]);
    const key = this.keyOf(what);
    this.unanswered.delete(what);
    return key;
  }

  private keyOf(what: string): string {
    const key = this.unanswered.get(what) ?? uuid();
    this.unanswered.set(what, key);
    return key;
  }
}

function asApiError(error: unknown): unknown {
  if (!(error instanceof HttpErrorResponse)) return error;
  const problem = (typeof error.error === 'object' ? error.error : null) as {
    detail?: string;
    issues?: ApiIssue[];
  } | null;
  return new ApiError(error.status, problem?.detail ?? statusWords(error), problem?.issues ?? []);
}

function statusWords({ status, statusText }: HttpErrorResponse): string {
  if (status === 0) return 'Welcome’s server does not answer. Is it still running?';
  return status < 300 ? 'The answer cannot be read.' : statusText;
}
