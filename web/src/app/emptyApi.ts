import {
  createApi,
  fetchBaseQuery,
  retry,
  type FetchArgs,
  type FetchBaseQueryError,
} from '@reduxjs/toolkit/query/react';

/** Far longer than any answer takes. A request that hangs would hold up everything that waits to be read again. */
const TIMEOUT_MS = 10_000;

/** A bar's Wi-Fi drops a request now and then. Sending again is safe: a put is written once however often it is sent. */
const SENT_AGAIN: Partial<Record<FetchBaseQueryError['status'], number>> = { FETCH_ERROR: 2, TIMEOUT_ERROR: 1 };

const asked = fetchBaseQuery({
  baseUrl: window.location.origin,
  timeout: TIMEOUT_MS,
  // Every write carries who stands at the tablet; as an address would, since a header takes no other letters.
  prepareHeaders: (headers, { getState }) => {
    const { person } = (getState() as { settings: { person: string } }).settings;
    if (person) headers.set('olvet-person', encodeURIComponent(person));
  },
});

/** Sends again, after a moment, what got no answer; what was answered is never sent twice. */
const baseQuery = retry(asked, {
  retryCondition: (error, _args, { attempt }) => attempt <= (SENT_AGAIN[(error as FetchBaseQueryError).status] ?? 0),
});

/** The most rows the server gives at a time. */
const LARGEST_PAGE = 200;

interface Rows {
  items: { id: string }[];
  total: number;
}

/** A list asked for without a page is wanted whole, however many pages it takes: nothing is cut off in silence. */
const wholeLists: typeof baseQuery = async (args, api, extra) => {
  const { url, params } = args as FetchArgs;
  const isPartAsked = params?.page != null || params?.pageSize != null;
  const pageOf = (page: number) =>
    baseQuery({ ...(args as FetchArgs), url, params: { ...params, page, pageSize: LARGEST_PAGE } }, api, extra);
  const first = await baseQuery(args, api, extra);
  if (isPartAsked || !isCutOff(first.data)) return first;
  const rows = new Map<string, { id: string }>();
  for (let page = 1; ; page += 1) {
    const answer = await pageOf(page);
    if (answer.error) return answer;
    const { items, total } = answer.data as Rows;
    for (const row of items) rows.set(row.id, row);
    if (items.length < LARGEST_PAGE) return { ...answer, data: { items: [...rows.values()], total } };
  }
};

function isCutOff(data: unknown): boolean {
  const { items, total } = (data ?? {}) as Partial<Rows>;
  return Array.isArray(items) && typeof total === 'number' && total > items.length;
}

/** The one API of the page; endpoints are generated from the server's own description. */
export const emptyApi = createApi({ reducerPath: 'api', baseQuery: wholeLists, endpoints: () => ({}) });
