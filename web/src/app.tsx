import { lazy, Suspense } from 'react';
import { createBrowserRouter, isRouteErrorResponse, RouterProvider, useRouteError } from 'react-router';
import { askAhead } from './common/api';
import { useSession } from './people/session';
import { Round } from './round/round';
import { Loading } from './common/loading';
import { Frame } from './frame/frame';
import { yearPath } from './year/path';

// its form is not wanted by whoever is signed in
const SignIn = lazy(() => import('./people/sign-in').then((m) => ({ default: m.SignIn })));

/** A page of its own file, fetched when it is first opened; `wants`: a long answer to be asked for with it. */
const page = (load: () => Promise<React.ComponentType>, wants?: string) => ({
  lazy: async () => {
    if (wants) askAhead(wants);
    return { Component: await load() };
  },
  HydrateFallback: () => null,
});

function Lost() {
  const error = useRouteError();
  const none = isRouteErrorResponse(error) && error.status === 404;
  return (
    <main className="mx-auto max-w-md p-8">
      <h1 className="text-3xl">{none ? 'There is no such page' : 'This page broke'}</h1>
      <p className="soft mt-2">
        {none
          ? 'The address may be old.'
          : 'Nothing you saved is lost. Load it again; if it breaks again, tell whoever looks after Gonimos.'}
      </p>
      <a href="/" className="btn btn-primary btn-tall mt-5">
        To the round
      </a>
    </main>
  );
}

const router = createBrowserRouter([
  {
    element: <Frame />,
    errorElement: <Lost />,
    children: [
      { path: '/', element: <Round /> },
      { path: '/cohorts', ...page(() => import('./cohorts/register').then((m) => m.Register)) },
      { path: '/cohorts/new', ...page(() => import('./screens/new-cohort').then((m) => m.NewCohort)) },
      { path: '/cohorts/import', ...page(() => import('./files/import').then((m) => m.Import)) },
      {
        path: '/cohorts/:id',
        ...page(() => import('./screens/cohort').then((m) => m.Cohort)),
        children: [
          { index: true, ...page(() => import('./course/course').then((m) => m.CoursePart)) },
          { path: 'ledger', ...page(() => import('./ledger/ledger').then((m) => m.LedgerPart)) },
          { path: 'trays', ...page(() => import('./trays/trays').then((m) => m.TraysPart)) },
          { path: 'roots', ...page(() => import('./roots/bench').then((m) => m.RootsPart)) },
          { path: 'stem', ...page(() => import('./stem/bench').then((m) => m.StemPart)) },
          { path: 'fuse', ...page(() => import('./fusing/fuse').then((m) => m.FusePart)) },
          { path: 'bends', ...page(() => import('./bends/bends').then((m) => m.BendsPart)) },
          { path: 'trunk', ...page(() => import('./trunk/lab').then((m) => m.TrunkPart)) },
          { path: 'lineage', ...page(() => import('./lineage/lineage').then((m) => m.LineagePart)) },
          { path: 'notes', ...page(() => import('./screens/notes').then((m) => m.NotesPart)) },
        ],
      },
      {
        path: '/propagation',
        ...page(() => import('./propagation/propagation').then((m) => m.Propagation)),
        children: [
          { index: true, ...page(() => import('./starts/starts').then((m) => m.Starts)) },
          { path: 'seed', ...page(() => import('./seed/lots').then((m) => m.Lots)) },
          { path: 'layers', ...page(() => import('./layers/layers').then((m) => m.Layers)) },
          { path: 'compare', ...page(() => import('./comparison/compare').then((m) => m.Compare)) },
        ],
      },
      {
        path: '/shed',
        ...page(() => import('./shed/shed').then((m) => m.Shed)),
        children: [
          { index: true, ...page(() => import('./mixes/mixes').then((m) => m.MixesPart)) },
          { path: 'fit', ...page(() => import('./fit/fit').then((m) => m.FitPart)) },
          { path: 'paper', ...page(() => import('./labels/paper').then((m) => m.PaperPart)) },
          { path: 'pots', ...page(() => import('./shed/pots').then((m) => m.PotsPart)) },
        ],
      },
      { path: '/benches', ...page(() => import('./screens/benches').then((m) => m.Benches)) },
      { path: '/year', ...page(() => import('./year/year').then((m) => m.Year), yearPath(52)) },
      {
        path: '/library',
        ...page(() => import('./library/library').then((m) => m.Library)),
        children: [
          { index: true, ...page(() => import('./library/programmes').then((m) => m.Programmes)) },
          { path: 'operations', ...page(() => import('./library/operations').then((m) => m.Operations)) },
          { path: 'taxa', ...page(() => import('./library/taxa').then((m) => m.Taxa)) },
          { path: 'schools', ...page(() => import('./library/schools').then((m) => m.Schools)) },
          {
            path: 'practice',
            ...page(() => import('./library/practice').then((m) => m.Practice)),
            children: [
              { index: true, ...page(() => import('./roots/practice').then((m) => m.RootPractice)) },
              { path: 'trunks', ...page(() => import('./trunk/practice').then((m) => m.TrunkPractice)) },
            ],
          },
          {
            path: 'operations/:id',
            ...page(() => import('./library/edit-operation').then((m) => m.EditOperation)),
          },
          { path: 'taxa/:id', ...page(() => import('./library/edit-taxon').then((m) => m.EditTaxon)) },
          {
            path: 'programmes/:id',
            ...page(() => import('./library/edit-programme').then((m) => m.EditProgramme)),
          },
        ],
      },
      { path: '/fittings', ...page(() => import('./fittings/fittings').then((m) => m.Fittings)) },
      { path: '/meanwhile', ...page(() => import('./screens/meanwhile').then((m) => m.Meanwhile)) },
      { path: '/season', ...page(() => import('./season/season').then((m) => m.Season)) },
      { path: '/nursery', ...page(() => import('./screens/nursery').then((m) => m.Nursery)) },
    ],
  },
]);

const firstOwner = createBrowserRouter([
  { path: '*', ...page(() => import('./people/first-owner').then((m) => m.FirstOwner)) },
]);

export function App() {
  const { data: session, error } = useSession();
  if (!session) return <Loading error={error} />;
  if (session.empty) return <RouterProvider key="first visit" router={firstOwner} />;
  if (!session.person)
    return (
      <Suspense fallback={<Loading error={null} />}>
        <SignIn />
      </Suspense>
    );
  return <RouterProvider key="nursery" router={router} />;
}
