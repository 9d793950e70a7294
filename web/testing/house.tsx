import {
  advise,
  answer,
  moveLine,
  parseAdviceRequest,
  reviewRun,
  whatIf,
  type AdviceRequest,
  type Settings,
} from '@olvet/core';
import { render } from '@testing-library/react';
import type { ReactNode } from 'react';
import { Provider } from 'react-redux';
import { createMemoryRouter, RouterProvider, useLocation } from 'react-router';
import { makeStore } from '../src/app/store';
import { Themed } from '../src/app/Themed';

/** What the page wrote, in order. */
export interface Written {
  path: string;
  body: Record<string, unknown>;
}

type Reply = object | ((url: URL) => object);

/** An answer other than 200. */
export class Refusal {
  constructor(
    readonly status: number,
    readonly body: object,
  ) {}
}

/** Days by the calendar, as tests say "today". */
export const CALENDAR = { timeZone: new Intl.DateTimeFormat().resolvedOptions().timeZone, firstHour: 0 };

/** The house that stands behind every page. */
export const SHOP = {
  id: 'shop',
  name: 'Kelp Street',
  currency: 'EUR',
  temperatureUnit: 'C',
  ...CALENDAR,
  checkAtOpening: true,
  checkTimes: ['12:00'],
  checkAtNewBag: true,
  toleranceSeconds: 3,
  isDemo: false,
  revision: 1,
};

/**
 * A server that answers from memory. Reads are given by path; writes answer with what was sent, unless given by
 * "PUT /path".
 */
export function fakeHouse(replies: Record<string, Reply>): { written: Written[]; replies: Record<string, Reply> } {
  const written: Written[] = [];
  const all: Record<string, Reply> = { '/api/shop': SHOP, ...replies };
  globalThis.fetch = async (input: RequestInfo | URL): Promise<Response> => {
    const request = input as Request;
    const url = new URL(request.url);
    if (request.method !== 'GET') {
      const body = (await request.clone().json()) as Record<string, unknown>;
      written.push({ path: url.pathname, body });
      const own = all[`${request.method} ${url.pathname}`] ?? body;
      return own instanceof Refusal ? json(own.status, own.body) : json(200, own);
    }
    const reply = all[url.pathname];
    if (reply === undefined) return json(404, { title: `Nothing at ${url.pathname}`, errors: [] });
    if (reply instanceof Refusal) return json(reply.status, reply.body);
    return json(200, typeof reply === 'function' ? (reply as (at: URL) => object)(url) : reply);
  };
  return { written, replies: all };
}

function json(status: number, body: object): Response {
  return new Response(JSON.stringify(body), { status, headers: { 'content-type': 'application/json' } });
}

/** Somebody else wrote the row meanwhile. */
export const OVERTAKEN = new Refusal(409, {
  detail: 'Someone else changed this in the meantime.',
  errors: [{ path: 'revision', message: 'is 2, not 1' }],
});

/** A page of rows as every list answers. */
export function pageOf(items: object[]): object {
  return { items, total: items.length, page: 1, pageSize: 50 };
}

/** A page at an address, with a store and a router of its own; shows where it has gone. */
export function renderPage(page: ReactNode, { path = '/', at = path }: { path?: string; at?: string } = {}) {
  const routes = [
    { path, element: page },
    { path: '*', element: <Elsewhere /> },
  ];
  const router = createMemoryRouter(routes, { initialEntries: [at] });
  return render(
    <Provider store={makeStore()}>
      <Themed>
        <RouterProvider router={router} />
      </Themed>
    </Provider>,
  );
}

function Elsewhere() {
  return <p>gone to {useLocation().pathname}</p>;
}

/** The worker's part, without a worker. */
export const heartInPlace = {
  answer: (request: AdviceRequest) => Promise.resolve(answer(request)),
  whatIf: (request: AdviceRequest, settings: Settings) => {
    const parsed = parseAdviceRequest(request);
    return Promise.resolve(parsed.ok ? whatIf(parsed.request, settings) : null);
  },
  replay: (request: AdviceRequest) => {
    const parsed = parseAdviceRequest(request);
    if (!parsed.ok) return Promise.resolve([]);
    const { shots, grinder } = parsed.request;
    return Promise.resolve(
      Array.from({ length: shots.length + 1 }, (_, n) =>
        moveLine(advise({ ...parsed.request, shots: shots.slice(0, n) }), grinder.finer),
      ),
    );
  },
  review: (request: AdviceRequest) => {
    const parsed = parseAdviceRequest(request);
    return Promise.resolve(parsed.ok ? reviewRun(parsed.request) : null);
  },
};
