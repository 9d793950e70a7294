import { createBrowserRouter, type RouteObject } from 'react-router';
import { Layout } from './Layout';
import { PageError } from './PageError';

/** One place, one lazily loaded file. */
const places: RouteObject[] = [
  { index: true, lazy: async () => ({ Component: (await import('../bar/BarPage')).BarPage }) },
  { path: 'setup', lazy: async () => ({ Component: (await import('../setup/SetupPage')).SetupPage }) },
  { path: 'dial-in', lazy: async () => ({ Component: (await import('../dialin/RunsPage')).RunsPage }) },
  { path: 'dial-in/:runId', lazy: async () => ({ Component: (await import('../dialin/RunPage')).RunPage }) },
  {
    path: 'stations/:stationId',
    lazy: async () => ({ Component: (await import('../stations/StationPage')).StationPage }),
  },
  { path: 'pull/:stationId', lazy: async () => ({ Component: (await import('../pull/PullPage')).PullPage }) },
  { path: 'watch/:pullId', lazy: async () => ({ Component: (await import('../pull/WatchPage')).WatchPage }) },
  { path: 'cards', lazy: async () => ({ Component: (await import('../cards/CardsPage')).CardsPage }) },
  { path: 'cards/:cardId', lazy: async () => ({ Component: (await import('../cards/CardPage')).CardPage }) },
  { path: 'book', lazy: async () => ({ Component: (await import('../book/BookPage')).BookPage }) },
  { path: 'menu', lazy: async () => ({ Component: (await import('../drinks/MenuPage')).MenuPage }) },
  { path: 'care', lazy: async () => ({ Component: (await import('../care/CarePage')).CarePage }) },
  { path: 'shelf', lazy: async () => ({ Component: (await import('../shelf/ShelfPage')).ShelfPage }) },
  { path: 'shelf/:coffeeId', lazy: async () => ({ Component: (await import('../shelf/CoffeePage')).CoffeePage }) },
  { path: 'opening', lazy: async () => ({ Component: (await import('../opening/OpeningPage')).OpeningPage }) },
  { path: 'hand-over', lazy: async () => ({ Component: (await import('../handover/HandOverPage')).HandOverPage }) },
  { path: 'measure/:tool?', lazy: async () => ({ Component: (await import('../measure/MeasurePage')).MeasurePage }) },
  { path: 'methods/:methodId', lazy: async () => ({ Component: (await import('../methods/MethodPage')).MethodPage }) },
  { path: 'workshop', lazy: async () => ({ Component: (await import('../workshop/WorkshopPage')).WorkshopPage }) },
  { path: '*', lazy: async () => ({ Component: (await import('./NotHere')).NotHere }) },
];

export const router = createBrowserRouter([
  { path: '/', Component: Layout, ErrorBoundary: PageError, HydrateFallback: () => null, children: places },
]);
