import { HttpClient, HttpErrorResponse } from '@angular/common/http';
import { inject, Injectable } from '@angular/core';
import { catchError, type Observable, tap, throwError } from 'rxjs';
import { type Answer, type BodyGiven, type QueryGiven } from '#contract/endpoints';
import { addressOf, type EndpointName, type Params, routes } from '#contract/routes';
import { type About, ABOUT_HEADER, aboutText, FOLDER_HEADER, UNITS_HEADER } from '#contract/about';
import { FolderHere } from './folder-here';
import { readKept, writeKept } from './kept';
import { Units } from './units';
import { languageHere } from '#words/place';
import { uuid } from './uuid';
import { api as texts } from '#words/en/places/data/api';

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
    /** So long the server asks to wait. */
    readonly waitMs: number | null = null,
  ) {
    super(message);
  }
}

/** Which data folder something is written for, where not the one in sight, and what in it. */
export interface Meant {
  folder?: string;
  about?: readonly About[];
}

type InPath<K extends EndpointName> = [keyof Params<K>] extends [never]
  ? { params?: undefined }
  : { params: Params<K> };
/** What an endpoint is called with, by its name. */
export type Given<K extends EndpointName> = InPath<K> &
  (BodyGiven<K> extends undefined ? { body?: undefined } : { body: BodyGiven<K> }) & {
    query?: QueryGiven<K> & Readonly<Record<string, string>>;
    meant?: Meant | undefined;
  };
type MaybeGiven<K extends EndpointName> = object extends Given<K> ? [given?: Given<K>] : [given: Given<K>];

/** Names of the endpoints that make something and take a client key. */
export type CreateName = {
  [K in EndpointName]: BodyGiven<K> extends { key: string } ? K : never;
}[EndpointName];
export type GivenToCreate<K extends CreateName> = InPath<K> & {
  body: Omit<BodyGiven<K>, 'key'>;
  /** What in the folder it is about. */
  about?: readonly About[];
};

/** The one way to the server: endpoints by name, typed by the contract; failures as ApiError. */
@Injectable({ providedIn: 'root' })
export class ApiClient {
  private readonly http = inject(HttpClient);
  private readonly here = inject(FolderHere);
  private readonly units = inject(Units);
  /** Keys of what was sent and not answered, by what was sent: a reload in between makes it no second thing. */
  private readonly unanswered = keptKeys();

  call<K extends EndpointName>(name: K, ...[given]: MaybeGiven<K>): Observable<Answer<K>> {
    const [method] = routes[name];
    const address = addressOf(name, (given?.params ?? {}) as Params<K>, given?.query);
    // JSON also where it is empty.
    const body: unknown = given?.body ?? (method === 'GET' || method === 'DELETE' ? undefined : {});
    // Every body is JSON, or a file as it is.
    const headers = {
      ...(body instanceof Blob && { 'content-type': 'application/octet-stream' }),
      ...(method !== 'GET' && this.meantBy(given?.meant)),
      // What is fetched ahead of the program goes without: only what has texts in it asks for them.
      ...((method !== 'GET' || name === 'learned') && this.said()),
    };
    return this.http.request<Answer<K>>(method, address, { body, headers }).pipe(
      catchError((error: unknown) => {
        const problem = asApiError(error);
        const isOther = problem instanceof ApiError && problem.issues[0]?.path === FOLDER_HEADER;
        if (isOther && given?.meant?.folder === undefined) this.here.isAnother();
        return throwError(() => problem);
      }),
    );
  }

  /** For whom texts of the answer are. */
  private said(): Record<string, string> {
    return { [UNITS_HEADER]: this.units.system(), 'accept-language': languageHere() };
  }

  private meantBy({ folder = this.here.id() ?? '', about = [] }: Meant = {}): Record<string, string> {
    return {
      ...(folder !== '' && { [FOLDER_HEADER]: folder }),
      ...(about.length > 0 && { [ABOUT_HEADER]: aboutText(about) }),
    };
  }

  /** Makes something. The same thing sent again after a lost answer goes under the same key: it is made once. */
  create<K extends CreateName>(
    name: K,
    { params, body, about = [] }: GivenToCreate<K>,
  ): Observable<Answer<K>> {
    const what = JSON.stringify([name, params, body]);
    const key = this.keyOf(what);
    const given = [{ params, body: { key, ...body }, meant: { about } }] as unknown as MaybeGiven<K>;
    return this.call(name, ...given).pipe(tap(() => this.answered(what)));
  }

  /** Key under which something was sent that nobody has answered: who sends it from now on does so under it. */
  handOver<K extends CreateName>(name: K, { params, body }: GivenToCreate<K>): string {
    const what = JSON.stringify([name, params, body]);
    const key = this.keyOf(what);
    this.answered(what);
    return key;
  }

  private keyOf(what: string): string {
    const key = this.unanswered.get(what) ?? uuid();
    this.unanswered.set(what, key);
    keepKeys(this.unanswered);
    return key;
  }

  private answered(what: string): void {
    this.unanswered.delete(what);
    keepKeys(this.unanswered);
  }
}

const UNANSWERED = 'unanswered';
/** Longer ones, as pictures, are not kept through a reload here: they have an outbox. */
const LONGEST = 20_000;
const MOST_UNANSWERED = 50;

function keptKeys(): Map<string, string> {
  const kept = readKept(UNANSWERED, 'tab');
  return new Map(Array.isArray(kept) ? (kept as [string, string][]) : []);
}

function keepKeys(keys: ReadonlyMap<string, string>): void {
  const short = [...keys].filter(([what]) => what.length <= LONGEST).slice(-MOST_UNANSWERED);
  writeKept(UNANSWERED, short.length > 0 ? short : undefined, 'tab');
}

function asApiError(error: unknown): unknown {
  if (!(error instanceof HttpErrorResponse)) return error;
  const problem = (typeof error.error === 'object' ? error.error : null) as {
    detail?: string;
    issues?: ApiIssue[];
  } | null;
  return new ApiError(
    error.status,
    problem?.detail ?? statusWords(error),
    problem?.issues ?? [],
    waitOf(error),
  );
}

/** Retry-After, in seconds. */
function waitOf({ headers }: HttpErrorResponse): number | null {
  const seconds = Number(headers?.get('retry-after') ?? NaN);
  return Number.isFinite(seconds) && seconds >= 0 ? seconds * 1000 : null;
}

function statusWords({ status, statusText }: HttpErrorResponse): string {
  if (status === 0) return texts.welcomesServerDoesNotAnswer;
  return status < 300 ? texts.theAnswerCannotBeRead : statusText;
}
