import { createBrowserRouter } from 'react-router';
import { NotThere, PageFailed } from '../common/failures';
import { Loading } from '../common/page';
import { loadPage } from './load-page';
import { Shell } from './shell';

/** Pages by address. Each is loaded when it is first opened; only those with a canvas bring the canvas. */
export const router = createBrowserRouter([
  {
    element: <Shell />,
    errorElement: <PageFailed />,
    hydrateFallbackElement: <Loading what="Opening Ichnograph …" />,
    children: [
      // A page that fails leaves the head of the window, and the way to all other pages, where they are.
      {
        errorElement: <PageFailed />,
        children: [
          {
            index: true,
            lazy: async () => ({ Component: (await loadPage(() => import('../today/today-page'))).TodayPage }),
          },
          {
            path: 'password',
            lazy: async () => ({ Component: (await loadPage(() => import('../accounts/password-page'))).PasswordPage }),
          },
          {
            path: 'people',
            lazy: async () => ({ Component: (await loadPage(() => import('../people/people-page'))).PeoplePage }),
          },
          {
            path: 'people/:id',
            lazy: async () => ({ Component: (await loadPage(() => import('../people/person-page'))).PersonPage }),
          },
          {
            path: 'assignments',
            lazy: async () => ({
              Component: (await loadPage(() => import('../assignments/assignments-page'))).AssignmentsPage,
            }),
          },
          {
            path: 'assignments/what-can-i-ask-for',
            lazy: async () => ({
              Component: (await loadPage(() => import('../assignments/what-can-i-ask-page'))).WhatCanIAskPage,
            }),
          },
          {
            path: 'assignments/:id',
            lazy: async () => ({
              Component: (await loadPage(() => import('../assignments/assignment-page'))).AssignmentPage,
            }),
          },
          {
            path: 'assignments/:id/guide',
            lazy: async () => ({
              Component: (await loadPage(() => import('../assignments/guide-page'))).GuideOfAssignment,
            }),
          },
          {
            path: 'works/:id/guide',
            lazy: async () => ({ Component: (await loadPage(() => import('../assignments/guide-page'))).GuideOfWork }),
          },
          {
            path: 'assignments/:id/sheet',
            lazy: async () => ({ Component: (await loadPage(() => import('../sheets/sheet-page'))).SheetPage }),
          },
          {
            path: 'assignments/:id/starter',
            lazy: async () => {
              const { SheetMapPage } = await loadPage(() => import('../sheets/sheet-map-page'));
              return { element: <SheetMapPage which="starter" /> };
            },
          },
          {
            path: 'assignments/:id/reference',
            lazy: async () => {
              const { SheetMapPage } = await loadPage(() => import('../sheets/sheet-map-page'));
              return { element: <SheetMapPage which="reference" /> };
            },
          },
          {
            path: 'assignments/:id/trials/:trialId',
            lazy: async () => ({ Component: (await loadPage(() => import('../sheets/sheet-map-page'))).TrialMapPage }),
          },
          {
            path: 'formats',
            lazy: async () => ({
              Component: (await loadPage(() => import('../map-files'))).WhatFormatsCarryPage,
            }),
          },
          {
            path: 'gatherings',
            lazy: async () => ({
              Component: (await loadPage(() => import('../gatherings/gatherings-page'))).GatheringsPage,
            }),
          },
          {
            path: 'gatherings/:id',
            lazy: async () => ({
              Component: (await loadPage(() => import('../gatherings/gathering-page'))).GatheringPage,
            }),
          },
          {
            path: 'showings/:id',
            lazy: async () => ({ Component: (await loadPage(() => import('../showings/showing-page'))).ShowingPage }),
          },
          {
            path: 'own-maps',
            lazy: async () => ({ Component: (await loadPage(() => import('../own-maps/own-maps-page'))).OwnMapsPage }),
          },
          {
            path: 'shared-maps/:id',
            lazy: async () => ({
              Component: (await loadPage(() => import('../own-maps/shared-map-page'))).SharedMapPage,
            }),
          },
          {
            path: 'own-maps/:id',
            lazy: async () => ({ Component: (await loadPage(() => import('../own-maps/own-map-page'))).OwnMapPage }),
          },
          {
            path: 'works/:id',
            lazy: async () => ({ Component: (await loadPage(() => import('../works/map-page'))).MapPage }),
          },
          {
            path: 'receipts/:id',
            lazy: async () => ({
              Component: (await loadPage(() => import('../submissions/receipt-page'))).ReceiptPage,
            }),
          },
          {
            path: 'feedback/:id',
            lazy: async () => ({
              Component: (await loadPage(() => import('../submissions/feedback-page'))).FeedbackPage,
            }),
          },
          {
            path: 'piles/:id',
            lazy: async () => ({ Component: (await loadPage(() => import('../marking/pile-page'))).PilePage }),
          },
          {
            path: 'piles/:id/reviews',
            lazy: async () => ({ Component: (await loadPage(() => import('../reviews/reviews-page'))).ReviewsPage }),
          },
          {
            path: 'reviews/:id',
            lazy: async () => ({
              Component: (await loadPage(() => import('../reviews/reviewing-page'))).ReviewingPage,
            }),
          },
          {
            path: 'piles/:id/bring-in',
            lazy: async () => ({
              Component: (await loadPage(() => import('../class-files/class-files-page'))).ClassFilesPage,
            }),
          },
          {
            path: 'piles/:id/:workId/:submissionId?',
            lazy: async () => ({ Component: (await loadPage(() => import('../marking/marking-page'))).MarkingPage }),
          },
          {
            path: 'class/:id/:view?',
            lazy: async () => ({ Component: (await loadPage(() => import('../class-insight/class-page'))).ClassPage }),
          },
          {
            path: 'gradebook/:id?',
            lazy: async () => ({
              Component: (await loadPage(() => import('../gradebook/gradebook-page'))).GradebookPage,
            }),
          },
          { path: '*', element: <NotThere /> },
        ],
      },
    ],
  },
]);
