import { createBrowserRouter, type RouteObject } from 'react-router';
import { Broken } from './frame/broken';
import { NothingHere } from './page/nothing-here';
import { Frame } from './frame/frame';
import { ProjectsPage } from './projects/projects-page';

/** Every address of the application; what a link can name. */
export const routes: RouteObject[] = [
  { path: '/', Component: ProjectsPage, ErrorBoundary: Broken },
  {
    path: '/p/:project',
    Component: Frame,
    ErrorBoundary: Broken,
    HydrateFallback: () => null,
    children: [
      { index: true, lazy: async () => ({ Component: (await import('./exchanges/exchanges-page')).ExchangesPage }) },
      { path: 'begin', lazy: async () => ({ Component: (await import('./begin/begin-page')).BeginPage }) },
      { path: 'overview', lazy: async () => ({ Component: (await import('./overview/overview-page')).OverviewPage }) },
      { path: 'stations', lazy: async () => ({ Component: (await import('./stations/stations-page')).StationsPage }) },
      {
        path: 'stations/:station',
        lazy: async () => ({ Component: (await import('./stations/station-page')).StationPage }),
      },
      {
        path: 'stations/:station/card',
        lazy: async () => ({ Component: (await import('./stations/card-page')).CardPage }),
      },
      {
        path: 'hardware-list',
        lazy: async () => ({ Component: (await import('./stations/hardware-list-page')).HardwareListPage }),
      },
      {
        path: 'owner-map',
        lazy: async () => ({ Component: (await import('./stations/owner-map-page')).OwnerMapPage }),
      },
      { path: 'profiles', lazy: async () => ({ Component: (await import('./stations/profiles-page')).ProfilesPage }) },
      { path: 'wiring', lazy: async () => ({ Component: (await import('./wiring/wiring-page')).WiringPage }) },
      { path: 'routes', lazy: async () => ({ Component: (await import('./routes/routes-page')).RoutesPage }) },
      { path: 'routes/ask', lazy: async () => ({ Component: (await import('./routes/route-page')).AskPage }) },
      { path: 'routes/:route', lazy: async () => ({ Component: (await import('./routes/route-page')).RoutePage }) },
      {
        path: 'exchanges',
        lazy: async () => ({ Component: (await import('./exchanges/exchanges-page')).ExchangesPage }),
      },
      {
        path: 'exchanges/:exchange',
        lazy: async () => ({ Component: (await import('./exchanges/exchange-page')).ExchangePage }),
      },
      {
        path: 'exchanges/:exchange/running',
        lazy: async () => ({ Component: (await import('./exchanges/running/running-page')).RunningPage }),
      },
      {
        path: 'exchanges/:exchange/plan',
        lazy: async () => ({ Component: (await import('./exchanges/plan/poll-plan-page')).PollPlanPage }),
      },
      {
        path: 'exchanges/:exchange/points',
        lazy: async () => ({ Component: (await import('./exchanges/points/points-page')).PointsPage }),
      },
      {
        path: 'exchanges/:exchange/print',
        lazy: async () => ({ Component: (await import('./exchanges/print-page')).PrintPage }),
      },
      {
        path: 'structures',
        lazy: async () => ({ Component: (await import('./structures/structures-page')).StructuresPage }),
      },
      { path: 'tags', lazy: async () => ({ Component: (await import('./tags/tags-page')).TagsPage }) },
      { path: 'tags/:station', lazy: async () => ({ Component: (await import('./tags/tag-list-page')).TagListPage }) },
      {
        path: 'tags/:station/images',
        lazy: async () => ({ Component: (await import('./tags/image-page')).ImagePage }),
      },
      {
        path: 'tags/:station/bring-in',
        lazy: async () => ({ Component: (await import('./tags/import-page')).ImportPage }),
      },
      {
        path: 'tags/:station/with/:exchange',
        lazy: async () => ({ Component: (await import('./tags/reconcile-page')).ReconcilePage }),
      },
      {
        path: 'rehearsal',
        lazy: async () => ({ Component: (await import('./rehearsal/rehearsal-page')).RehearsalPage }),
      },
      {
        path: 'rehearsal/:exchange',
        lazy: async () => ({ Component: (await import('./rehearsal/exchange-walk-page')).ExchangeWalkPage }),
      },
      {
        path: 'rehearsal/:exchange/trace',
        lazy: async () => ({ Component: (await import('./rehearsal/trace-page')).TracePage }),
      },
      { path: 'site', lazy: async () => ({ Component: (await import('./site/survey-page')).SurveyPage }) },
      {
        path: 'site/work',
        lazy: async () => ({ Component: (await import('./site/work-page')).WorkPage }),
      },
      {
        path: 'site/work/print',
        lazy: async () => ({ Component: (await import('./site/work-print-page')).WorkPrintPage }),
      },
      {
        path: 'site/points',
        lazy: async () => ({ Component: (await import('./pointtests/point-tests-page')).PointTestsPage }),
      },
      {
        path: 'site/temporary',
        lazy: async () => ({ Component: (await import('./site/temporary-page')).TemporaryPage }),
      },
      {
        path: 'site/list',
        lazy: async () => ({ Component: (await import('./site/found-list-page')).FoundListPage }),
      },
      {
        path: 'symptoms',
        lazy: async () => ({ Component: (await import('./site/symptoms-page')).SymptomsPage }),
      },
      {
        path: 'symptoms/:symptom',
        lazy: async () => ({ Component: (await import('./site/symptom-page')).SymptomPage }),
      },
      { path: 'findings', lazy: async () => ({ Component: (await import('./findings/findings-page')).FindingsPage }) },
      { path: 'history', lazy: async () => ({ Component: (await import('./history/history-page')).HistoryPage }) },
      {
        path: 'history/:from/:to',
        lazy: async () => ({ Component: (await import('./history/compare-page')).ComparePage }),
      },
      { path: '*', Component: () => <NothingHere /> },
    ],
  },
  { path: '*', Component: () => <Broken /> },
];

export const router = createBrowserRouter(routes);
