import { createApi, fetchBaseQuery, retry, type FetchBaseQueryError } from '@reduxjs/toolkit/query/react';

/** Far longer than any answer takes. A request that hangs would hold up everything that waits to be read anew. */
const TIMEOUT_MS = 10_000;

/** A bar's Wi-Fi drops a request now and then. Sending again is safe: a put is written once however often it is sent. */
const SENT_AGAIN: Partial<Record<FetchBaseQueryError['status'], number>> = { FETCH_ERROR: 2, TIMEOUT_ERROR: 1 };

/** Sends again, after a moment, what got no answer; what was answered is never sent twice. */
const baseQuery = retry(fetchBaseQuery({ baseUrl: window.location.origin, timeout: TIMEOUT_MS }), {
  retryCondition: (error, _args, { attempt }) => attempt <= (SENT_AGAIN[(error as FetchBaseQueryError).status] ?? 0),
});

/** The one API of the page; endpoints are generated from the server's own description. */
export const emptyApi = createApi({ reducerPath: 'api', baseQuery, endpoints: () => ({}) });
