import { HttpClient, HttpErrorResponse } from '@angular/common/http';
import { inject, Injectable } from '@angular/core';
import { catchError, type Observable, throwError } from 'rxjs';

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

/** The one way to the server: paths below /api, failures as ApiError. */
@Injectable({ providedIn: 'root' })
export class Api {
  private readonly http = inject(HttpClient);

  get<T>(path: string): Observable<T> {
    return this.http.get<T>(`/api/${path}`).pipe(catchError(asApiError));
  }

  post<T>(path: string, body: object): Observable<T> {
    return this.http.post<T>(`/api/${path}`, body).pipe(catchError(asApiError));
  }

  put<T>(path: string, body: object): Observable<T> {
    return this.http.put<T>(`/api/${path}`, body).pipe(catchError(asApiError));
  }

  remove(path: string): Observable<void> {
    return this.http.delete<void>(`/api/${path}`).pipe(catchError(asApiError));
  }
}

function asApiError(error: unknown): Observable<never> {
  if (!(error instanceof HttpErrorResponse)) return throwError(() => error);
  const problem = (typeof error.error === 'object' ? error.error : null) as {
    detail?: string;
    issues?: ApiIssue[];
  } | null;
  const words =
    error.status === 0
      ? 'Welcome’s server does not answer. Is it still running?'
      : (problem?.detail ?? error.statusText);
  return throwError(() => new ApiError(error.status, words, problem?.issues ?? []));
}
